# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Trips
      # Grams of one food a meal takes. Frozen.
      MealNeed = Value.of(:day, :meal, :grams)

      # A stack it may come from: grams there, of one pack (nil: loose), its last good day, whether it is open or kept
      # for something else. Frozen.
      PackStack = Value.of(:id, :grams, :pack_g, :good_until, open: false, set_apart: false)

      # What a meal gets: grams by stack in the order they are taken, what is missing, what is too much. Frozen.
      Packed = Value.of(:day, :meal, :picks, :short_g, :over_g)

      # Names a stack for each line of a packing list (docs/trips.md 5): good on the day it is eaten, first expired
      # first out; sealed in whole unopened packs, repacked to the gram.
      class Packing
        MEALS = %w[breakfast lunch snack dinner].freeze

        # @param stacks [Array<PackStack>]
        # @param sealed [Boolean] whether it goes along in its unopened packs
        def initialize(stacks, sealed:)
          @sealed = sealed
          @stacks = stacks.reject(&:set_apart).reject { |stack| sealed && stack.open }
            .sort_by { |stack| [stack.good_until&.jd || Float::INFINITY, stack.id.to_s] }
          @left = stacks.to_h { |stack| [stack.id, stack.grams] }
        end

        # @param needs [Array<MealNeed>]
        # @return [Array<Packed>] by day and meal
        def call(needs)
          needs.sort_by { |need| [need.day, MEALS.index(need.meal) || MEALS.size] }.map { |need| packed(need) }
        end

        # @return [Hash{Object=>Rational}] grams that stay at home, by stack
        def left = @left.dup

        private

        def packed(need)
          open = need.grams
          picks = @stacks.each_with_object({}) do |stack, taken|
            next if !open.positive? || (stack.good_until && stack.good_until < need.day)

            grams = grams(stack, open)
            next unless grams.positive?

            taken[stack.id] = grams
            @left[stack.id] -= grams
            open -= grams
          end
          Packed.new(day: need.day, meal: need.meal, picks: picks, short_g: [open, 0r].max, over_g: [-open, 0r].max)
        end

        def grams(stack, open)
          left = @left.fetch(stack.id)
          return [left, open].min unless @sealed && stack.pack_g

          [(open / stack.pack_g).ceil, (left / stack.pack_g).floor].min * stack.pack_g
        end
      end
    end
  end
end
