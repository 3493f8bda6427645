# frozen_string_literal: true

require_relative "../../core/dating/breaking"
require_relative "../../core/looking_back/surplus"
require_relative "../plan"
require_relative "../usage_rates"

module NutShelf
  module Desk
    module LookingBack
      # What could be given away: sealed, in date for weeks, and more than will be eaten here before it is over.
      class GiveAway
        # `why`: "beyond" what will be eaten in time, or "unused" since it came. `amount` in the stack's own units.
        # Frozen.
        Offer = Core::Value.of(:stack, :amount, :why)

        # Nobody is glad of what is over next week.
        LEAST_DAYS = 14
        # What nobody touched for so long is not used here.
        UNUSED_DAYS = 60

        # What nobody sealed: made here, or grown.
        UNSEALED = ["Home leftovers", *Core::Breaking::PRODUCE].freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
          @plan = Plan.new(work)
        end

        # @return [Array<Offer>] first date first
        def all
          @work.every_food
          offers = fit.group_by(&:food_key).flat_map { |key, stacks| offers(key, stacks) }
          offers.sort_by { |one| [one.stack.usable_until, one.stack.id] }
        end

        # @param stack [Core::Stack]
        # @return [Boolean] whether it may be given to somebody who cannot know how it was kept
        def fit?(stack)
          last = [stack.usable_until, stack.quality_until].compact.min
          return false if @work.in_the_dark.doubts?(stack.id) || !sealed?(stack) || !stack.sealed_packs?

          !stack.quarantined && !stack.unfit?(@work.today) && !last.nil? && last >= @work.today + LEAST_DAYS
        end

        private

        def fit = @work.shelf.stacks.each_value.select { |stack| stack.weighed? && stack.free.positive? && fit?(stack) }

        def sealed?(stack)
          @work.place(stack.place_id).kind != "freezer" && !UNSEALED.include?(@work.food(stack.food_id).aisle)
        end

        def offers(key, stacks)
          food = @work.shelf.foods.fetch(key)
          rate = rates.daily(key).to_r
          return unused(stacks) if rate.zero? && drawn.fetch(key, []).empty?

          surplus = Core::Surplus.new(
            daily: rate, planned: drawn.fetch(key, []), wanted: wanted(food), today: @work.today
          )
          surplus.call(stacks.map { |one| told(one) }).map do |id, grams|
            stack = @work.shelf.stack(id)
            Offer.new(stack: stack, amount: grams / unit(stack), why: "beyond")
          end
        end

        # Without a rate nobody knows what will be eaten; what has lain long enough is not used here.
        def unused(stacks)
          since = @work.today - UNUSED_DAYS
          old = stacks.select do |stack|
            came.fetch(stack.id, @work.today) <= since && !wants.key?(stack.food_id) && !used.include?(stack.food_id)
          end
          old.map { |stack| Offer.new(stack: stack, amount: stack.free, why: "unused") }
        end

        def told(stack)
          Core::Surplus::Stack.new(
            id: stack.id, until_on: stack.usable_until, grams: stack.free * unit(stack),
            pack: stack.pack || unit(stack)
          )
        end

        def unit(stack) = stack.amount / stack.free

        # What meals draw of each food, with their days.
        def drawn
          @drawn ||= begin
            lines = @plan.dishes.values.flat_map do |dish|
              dish.lines.map do |line|
                [line.food_key, dish.on, line.grams]
              end
            end
            lines.group_by(&:first).transform_values { |list| list.map { |line| line.drop(1) } }
          end
        end

        def wanted(food)
          want = wants[@work.shelf.food_ids[food.key]] or return 0r
          grams = Core::Weight.of_unit(food, food.dimension, nil) || 0r
          weekly = rates.daily(food.key).to_r * 7
          [want.par.to_r * grams, want.floor.to_r * grams, want.par_weeks.to_r * weekly].max
        end

        def wants = @wants ||= @work.house.shopping.wants

        def rates = @rates ||= UsageRates.new(@work).habits

        # What somebody ate of in the last weeks, if only once.
        def used = @used ||= @work.house.usage.daily(@work.today).to_set(&:food_id)

        def came = @came ||= @work.house.outcomes.came_on
      end
    end
  end
end
