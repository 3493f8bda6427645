# frozen_string_literal: true

require_relative "../core/planning/thaw"

module NutShelf
  module Desk
    # What has to come out of the freezer, and when, for the meals that are planned.
    class Thawing
      # @param room [Room]
      # @param pantry_of [PantryOf]
      def initialize(room, pantry_of)
        @room = room
        @pantry_of = pantry_of
      end

      # @param planned [Array<Core::MissingList::Planned>]
      # @param dishes [Hash{Integer=>Core::Dish}]
      # @return [Array<Hash>] :on, :lot_id, :name, :amount, :place, :meal_id, :meal, :hours
      def tasks(planned, dishes)
        planned.flat_map do |meal|
          dishes.fetch(meal.id).lines.reject { |line| meal.recipe.from_frozen?(@pantry_of.foods.fetch(line.food_key)) }
                .flat_map { |line| line.picks.filter_map { |pick| task(meal, line.food_key, pick) } }
        end
      end

      private

      def task(meal, key, pick)
        lot = @pantry_of.lot(pick.stock.id)
        food = @pantry_of.foods.fetch(key)
        return unless lot[:frozen] && food.thaw_hours_fridge&.positive?

        on, hours = Core::Thaw.start(on: meal.on, grams: pick.amount, hours_per_kg: food.thaw_hours_fridge)
        amount = Core::Quantity.new(@pantry_of.proposal(key, pick), lot[:dimension].to_sym)
        { on: [on, @room.today].max, lot_id: lot[:id], name: lot[:label].empty? ? food.name : lot[:label], amount: lot[:noun] ? Core::Wording.counted(amount.amount, lot[:noun]) : @room.amount(amount),
          place: @room.place(lot[:place_id])[:name].to_s, meal_id: meal.id, meal: meal.recipe.name, hours: hours }
      end
    end
  end
end
