# frozen_string_literal: true

require_relative "wrapping"

module NutShelf
  module Desk
    # What pests could reach in a place: everything in paper, card or thin plastic that insects eat, and was not set
    # apart already. Glass, tins and hard boxes keep them out.
    class AtRisk
      OPEN_TO_PESTS = %w[card paper thin_plastic].freeze

      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @return [Array<Hash>] shelf rows
      def in_place(place_id)
        rows = @room.house.lots.shelf.where(Sequel[:lots][:place_id] => place_id, quarantined: false).select_append(Sequel[:lots][:wrapping], Sequel[:lots][:container_id]).all
        @room.know_foods(rows.map { |row| row[:food_id] })
        rows.select { |row| reached?(row) }
      end

      private

      def reached?(row)
        food = @room.food(row[:food_id])
        (food.pest_risk || row[:food_food_group] == "pet") && row[:container_id].nil? && OPEN_TO_PESTS.include?(Wrapping.of(row, food))
      end
    end
  end
end
