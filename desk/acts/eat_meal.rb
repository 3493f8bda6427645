# frozen_string_literal: true

require_relative "../act"
require_relative "../fit"
require_relative "../kits/floor"
require_relative "../refusal"
require_relative "../taking"

module NutShelf
  module Desk
    # A meal that nobody cooks is over: portions that waited are eaten, or somebody ate out, or what was left.
    class EatMeal < Act
      WORDS = { "out" => "a meal out", "whatever" => "whatever was left" }.freeze

      private

      # @param input [Hash] :meal_id, :amount of the portions in base units (decimal text), nil for as many as planned;
      #   :despite why, see Take
      def perform(input)
        @meal = house.records.lock("meal", input[:meal_id])
        raise Refusal.of(:meal_settled, status: @meal.status) unless @meal.status == "planned"
        raise Refusal.of(:cook_it_first) if %w[cook leftovers].include?(@meal.kind)
        return settle("Had #{WORDS.fetch(@meal.kind)}") unless @meal.kind == "kept"

        lot = house.lots.lock_one(@meal.lot_id)
        amount = work.still_there(lot, wanted(lot, input[:amount]))
        despite = Kits::Floor.new(work).guard({ lot.id => amount }, input[:despite])
        settle("Ate #{work.part_words(lot, amount)} #{lot.name(work.food(lot.food_id))}#{despite}") do |eaten|
          Fit.check(work, lot, eaten.redate.part(lot), pointer: "/meal_id")
          Taking.new(work, eaten).take(lot, amount, "eaten")
        end
      end

      def settle(words)
        eaten = entry("eat_meal", words)
        yield(eaten) if block_given?
        eaten.alter("meal", @meal, { status: "cooked" })
        done(eaten, meal_id: @meal.id)
      end

      # So many portions as were planned; of what has none, all of it.
      def wanted(lot, text)
        amount = text ? text.to_r : [@meal.servings * (lot.pack_amount || lot.on_hand), lot.on_hand].min
        raise Refusal.of(:taken_not_above_zero, at: "/amount") unless amount.positive?

        amount
      end
    end
  end
end
