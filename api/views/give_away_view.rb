# frozen_string_literal: true

require_relative "../../desk/looking_back/give_away"

module NutShelf
  module Api
    # What could be given away, as JSON: with dates, weights and allergens, as a food bank asks for them.
    class GiveAwayView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Hash]
      def call = { stacks: Desk::LookingBack::GiveAway.new(@work).all.map { |one| offer(one) } }

      private

      def offer(one)
        stack = one.stack
        food = @work.food(stack.food_id)
        {
          stack_id: stack.id, name: stack.name(food), place: @work.place(stack.place_id).name,
          amount: @work.wording(stack, amount: one.amount), raw: Core::Decimal.print(one.amount), why: one.why,
          until: [stack.usable_until, stack.quality_until].compact.min.iso8601,
          weight: @work.amount(Core::Quantity.new(grams(one).round.to_r, :mass)), allergens: food.allergens
        }
      end

      def grams(one) = one.stack.amount / one.stack.free * one.amount
    end
  end
end
