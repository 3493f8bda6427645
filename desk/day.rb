# frozen_string_literal: true

require "date"
require_relative "errors"
require_relative "refusal"

module NutShelf
  module Desk
    # Days as people send them.
    module Day
      # Before this nothing in a house was packed, after that nobody will open it.
      YEARS = (1900..2200)

      module_function

      # @param field [Symbol] where it stands in what was sent
      # @param value [String, Date, nil]
      # @return [Date, nil]
      # @raise [Invalid]
      def read(field, value)
        return value if value.nil? || value.is_a?(Date)

        day = Date.iso8601(value)
        return day if YEARS.cover?(day.year)

        raise Refusal.of(:day_out_of_range, at: "/#{field}", said: value)
      rescue Date::Error
        raise Refusal.of(:no_day, at: "/#{field}", said: value)
      end
    end
  end
end
