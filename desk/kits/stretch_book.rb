# frozen_string_literal: true

require_relative "../../core/errors"
require_relative "../../core/kits/stretching"
require_relative "../../core/value"
require_relative "../plan"

module NutShelf
  module Desk
    module Kits
      # Leftovers that are too small for all, and the tins of the own shelf that make one meal of each.
      class StretchBook
        LEFT = %w[cooked left_over portioned].freeze
        GROUPS = %w[protein vegetables grains].freeze
        # A leftover with more than that is a meal of tins.
        MOST = 4
        # A leftover stack, how many in the house it feeds, and so many packs of a stack of tins beside it. Frozen.
        Stretch = Core::Value.of(:stack, :feeds, :tin, :count)

        # @param work [UnitOfWork]
        # @param who [Who]
        # @param leftovers [Array<Core::Stack>] that may be eaten today
        def initialize(work, who, leftovers)
          @work = work
          @who = who
          @leftovers = leftovers
        end

        # @return [Array<Stretch>]
        def call
          return [] if @who.eaters.empty?

          @leftovers.filter_map { |stack| stretch(stack) }
        end

        private

        def stretch(stack)
          food = @work.food(stack.food_id)
          return unless left?(stack, food) && food.serving_g && stack.weighed? && everybody?(food)

          grams = stack.free * stack.grams_per_unit
          tin, found = tins.filter_map { |one| with(one, food, grams) }.min_by { |one, made| [made.tins, order(one)] }
          return unless tin

          feeds = (grams / (food.serving_g * factors) * @who.eaters.size).floor
          Stretch.new(stack: stack, feeds: feeds, tin: tin, count: found.tins)
        end

        # Where somebody must not have something, what nobody knows all of is for nobody.
        def everybody?(food)
          return false unless @who.eaters.all? { |one| one.eats?(food) }

          @who.eaters.none? { |one| one.excludes.any? } || !(food.key.start_with?("class-") || plan.doubtful?(food))
        end

        def plan = @plan ||= Plan.new(@work)

        def left?(stack, food) = LEFT.include?(stack.situation) || food.aisle == "Home leftovers"

        def with(stack, leftover, grams)
          tin = @work.food(stack.food_id)
          pack = Core::Quantity.new(Stocks.unit(stack) * stack.grams_per_unit, :mass)
          made = Core::Kits::Stretched.of(leftover, grams, factors: factors, tin: tin, pack: pack)
          [stack, made] if made.tins.between?(1, [MOST, (stack.free / Stocks.unit(stack)).floor].min)
        end

        def factors = @factors ||= @who.eaters.sum(0r, &:factor)

        # The first date first.
        def order(stack) = [stack.usable_until&.jd || Float::INFINITY, stack.id]

        # What everybody may have, can be eaten as it is, and nothing else is kept for.
        def tins
          @tins ||= @work.shelf.stacks.each_value.select do |stack|
            food = @work.food(stack.food_id)
            tin?(stack, food) && stack.weighed? && food.serving_g && good?(stack) && !boxed?(stack) &&
              @who.eaters.all? { |one| one.eats?(food) }
          end
        end

        def tin?(stack, food)
          !stack.open && food.packing.wrapping == "tin" && food.ready_to_eat && GROUPS.include?(food.kit_group)
        end

        def boxed?(stack) = @work.place(stack.place_id).set_apart?

        def good?(stack)
          stack.eligible?(@work.today, strict: @work.policy.by_the_date? || @work.strict_eaters?)
        end
      end
    end
  end
end
