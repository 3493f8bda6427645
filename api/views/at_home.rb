# frozen_string_literal: true

module NutShelf
  module Api
    # What of a food stands at home and where, for whoever is in the shop; and what the coming meals want from places
    # further off, to be fetched and not bought.
    class AtHome
      # @param work [Desk::UnitOfWork]
      # @param plan [Desk::Plan]
      def initialize(work, plan)
        @work = work
        @plan = plan
      end

      # @param food_id [Integer]
      # @return [Array<Hash>] by place, what turns first in front
      def of(food_id) = by_food.fetch(food_id, []).map { |stack| stack(stack) }

      # @param before [Date]
      # @return [Array<Hash>] of the meals before that day
      def fetch(before)
        far = @plan.ties.select { |tie| tie.meal.on < before && !tie.pick.stack.working }
        far.group_by { |tie| tie.pick.stack.id }.map { |_, ties| fetched(ties) }
      end

      private

      def by_food
        @by_food ||= @plan.shelf.stacks.each_value.select { |stack| there?(stack) }.group_by(&:food_id)
      end

      def there?(stack) = !stack.quarantined && !stack.unfit?(@work.today) && stack.free.positive?

      def stack(stack)
        {
          place: stack.place, until: stack.usable_until&.iso8601, not_for: not_for(stack),
          amount: stack.level || Core::StackWords.of(stack, amount: stack.free, measures: @work.measures)
        }
      end

      # Hands carry whole packs.
      def fetched_words(stack, pick)
        return @work.loose_words(stack, @plan.proposal(pick)) unless stack.sealed_packs? && stack.pack_amount

        packs = (pick.amount / stack.pack).ceil
        Core::StackWords.of(stack, amount: packs * stack.pack_amount, measures: @work.measures)
      end

      # Whoever goes by the date would not have it any more: then a meal may lack what stands there.
      def not_for(stack)
        return [] unless stack.strict_until && stack.strict_until < @work.today

        @work.eaters.select(&:strict).map(&:name)
      end

      # @param ties [Array<Desk::Plan::Tie>] of one stack
      def fetched(ties)
        stack = ties.first.pick.stack
        pick = Core::Pick.new(stack: stack, amount: ties.sum(0r) { |tie| tie.pick.amount })
        {
          stack_id: stack.id, food: stack.name(@plan.shelf.foods.fetch(stack.food_key)), place: stack.place,
          amount: fetched_words(stack, pick), until: stack.usable_until&.iso8601,
          meals: ties.map { |tie| { meal_id: tie.meal.id, on: tie.meal.on.iso8601, name: @plan.name_of(tie.meal) } }
        }
      end
    end
  end
end
