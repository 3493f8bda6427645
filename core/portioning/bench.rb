# frozen_string_literal: true

require_relative "../errors"
require_relative "../limits"
require_relative "../quantity/largest_remainder"
require_relative "../quantity/money"
require_relative "../value"
require_relative "addition"

module NutShelf
  module Core
    # The bench: several takes become portions, by-products, trim and a rest, and every gram and cent of it is told.
    module Portioning
      # What is taken from one stack: grams as drawn, and what they are worth. Frozen.
      Intake = Value.of(:food, :grams, :value_minor)

      # What comes of it. `share_g` of the pool in each portion, `each_g` with what is added; `costs` one a portion,
      # cheap first; `trim_g` with all crumbs; `in_g` and `out_g` reconcile. Grams exact, money in minor units.
      # Frozen.
      Portioned =
        Value.of(
          :pool_g, :count, :share_g, :each_g, :costs, :rest_g, :rest_value, :trim_g, :spoiled_value, :in_g, :out_g,
          :yield, :additions
        )

      # Portions of several takes (docs/trips.md 1): what is trimmed is worth nothing, what is spoiled its share, by-
      # products nothing; a cooked bowl weighs what it weighs.
      class Bench
        # @param intakes [Array<Intake>]
        # @param trim_g [Rational, nil] as weighed; nil: by what of each food is eaten
        # @param by_products_g [Array<Rational>] bones, scraps for the pot
        # @param spoiled_g [Rational]
        # @param bowl_g [Rational, nil] what it weighs once cooked
        # @param additions [Array<Addition>]
        # @raise [ArgumentError] where more goes than came in
        def initialize(intakes, trim_g: nil, by_products_g: [], spoiled_g: 0r, bowl_g: nil, additions: [])
          @intakes = intakes
          @in_g = intakes.sum(0r, &:grams)
          @trim = trim_g || intakes.sum(0r) { |one| one.grams * (1 - one.food.edible_yield) }
          @by = by_products_g.sum(0r)
          @spoiled = spoiled_g
          @bowl = bowl_g
          @additions = additions
          refuse_below_zero([@trim, @spoiled, *by_products_g])
          refuse_too_much
        end

        # @param count [Integer, nil] so many portions, or
        # @param size [Rational, nil] grams of the pool in each
        # @return [Portioned]
        # @raise [ArgumentError] when neither or both are said, or not one portion comes of it
        def call(count: nil, size: nil)
          raise ArgumentError, "say how many portions or how large one is" unless count.nil? ^ size.nil?
          raise ArgumentError, "not even one portion comes of it" unless (count || size).positive?

          share = size || (pool / count).floor(6)
          number = count || (pool / size).floor
          refuse_none(number, share)
          told(number, share, size ? pool - (share * number) : 0r)
        end

        # @return [Rational] grams that are shared out
        def pool = @bowl || net

        private

        def net = @in_g - @trim - @by - @spoiled

        def refuse_below_zero(weights)
          return if weights.none?(&:negative?) && @additions.all? { |one| one.each.positive? }

          raise ArgumentError, "a weight is not below zero, and what is added weighs something"
        end

        def refuse_too_much
          return if net.positive? && pool.positive?

          raise ArgumentError,
            "#{(@trim + @by + @spoiled).to_f.round(2)} g go of #{@in_g.to_f.round(2)} g: weigh again, nothing is left"
        end

        def refuse_none(number, share)
          raise ArgumentError, "not even one portion comes of it" unless number.positive? && share.positive?

          refuse_short(number)
          return if number <= Limits::PORTIONS

          raise ArgumentError, "#{number} portions are more than #{Limits::PORTIONS}, the most that are made at once"
        end

        def refuse_short(number)
          short = @additions.find { |one| (one.each * number) - one.on_hand_g >= CRUMBS_G } or return
          raise ArgumentError,
            "#{number} portions take #{(short.each * number).to_f.round(2)} g of #{short.food.name}, " \
            "#{short.on_hand_g.to_f.round(2)} g are there"
        end

        def told(number, share, left)
          rest = left < CRUMBS_G ? 0r : left
          crumbs = pool - (share * number) - rest + @additions.sum(0r) { |one| one.crumbs(number) }
          rest_value = rest.zero? ? 0 : LargestRemainder.split(value, [share * number, rest]).last
          each = share + @additions.sum(0r, &:each)
          Portioned.new(
            pool_g: pool, count: number, share_g: share, each_g: each,
            costs: Money.split(value - rest_value + added(number), number).sort.freeze,
            rest_g: rest, rest_value: rest_value, trim_g: @trim + crumbs, spoiled_value: spoiled_value,
            yield: pool / net, additions: @additions, **weighed(number, each, rest, crumbs)
          )
        end

        # Water a bowl took on, or lost, came from elsewhere.
        def weighed(number, each, rest, crumbs)
          {
            in_g: @in_g + (pool - net) + @additions.sum(0r) { |one| one.taken(number) },
            out_g: @trim + crumbs + @by + @spoiled + (each * number) + rest
          }
        end

        def added(number) = @additions.sum { |one| one.value(number) }

        def spoiled_value
          @spoiled.zero? ? 0 : LargestRemainder.split(@intakes.sum(&:value_minor), [net, @spoiled]).last
        end

        # What the pool is worth.
        def value = @intakes.sum(&:value_minor) - spoiled_value
      end
    end
  end
end
