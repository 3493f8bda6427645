# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # A food nobody here has any more is put out of sight: lists and the label line forget it, its past stays.
    class ArchiveFood < Act
      keeper_only

      private

      # @param input [Hash] :food_id
      def perform(input)
        food = house.records.lock("food", input[:food_id])
        if food.archived_at
          raise Conflict.new("It is out of sight already.", code: "nothing_changed", remedy: "Nothing to do.")
        end
        if house.lots.of_food(food.id, []).any?
          raise Conflict.new(
            "There is some of it on the shelf.",
            code: "depended_on",
            remedy: "Use it up or let it go into another food first."
          )
        end

        archived = entry("archive_food", "Put #{food.name} out of sight")
        archived.alter("food", food, { archived_at: Time.now, key: "#{food.key}-archived-#{food.id}" })
        done(archived, food_id: food.id)
      end
    end
  end
end
