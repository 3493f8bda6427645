# frozen_string_literal: true

require "date"

module NutShelf
  module Desk
    # Since when a stack stands where it is.
    module StoodSince
      module_function

      # @param lot [Store::Rows::Lot]
      # @param place_id [Integer]
      # @return [Date, nil] the day it was carried there; of what nobody carried the day it came
      def day(lot, place_id)
        moved = lot.history.select { |one| one["kind"] == "moved" && one["place_id"] == place_id }
        text = moved.filter_map { |one| one["on"] }.max
        text ? Date.iso8601(text) : lot.acquired_on || lot.known_on
      end
    end
  end
end
