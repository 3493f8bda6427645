# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # The household's own figures for a food: how much of it stands at hand, what is used a week, what a millilitre or
    # a piece weighs (weighed once, known for good).
    class SetFood < Act
      keeper_only
      FIELDS = %i[working_amount weekly_said g_per_ml g_per_piece].freeze

      private

      # @param input [Hash] :food_id, any of FIELDS as decimal text or nil
      def perform(input)
        food = house.records.lock("food", input[:food_id])
        changes =
          input
            .slice(*FIELDS)
            .transform_values { |text| text&.to_r }
            .reject { |name, value| food.public_send(name) == value }
        raise Refusal.of(:says_that_already) if changes.empty?
        if changes.slice(:g_per_ml, :g_per_piece).values.compact.any? { |value| !value.positive? }
          raise Refusal.of(:weight_not_above_zero, at: "/g_per_ml")
        end

        set = entry("set_food", "Own figures for #{food.name}")
        set.alter("food", food, changes)
        done(set, food_id: food.id)
      end
    end
  end
end
