# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # A food nobody here has any more is put out of sight: lists and the label line forget it, its past stays.
    class ArchiveFood < Act
      keeper_only

      private

      # @param input [Hash] :food_id
      def perform(input)
        food = house.records.lock("food", input[:food_id])
        raise Refusal.of(:archived_already) if food.archived_at
        raise Refusal.of(:food_on_shelf) if house.lots.of_food(food.id, []).any?

        archived = entry("archive_food", "Put #{food.name} out of sight")
        archived.alter("food", food, { archived_at: Time.now, key: "#{food.key}-archived-#{food.id}" })
        done(archived, food_id: food.id)
      end
    end
  end
end
