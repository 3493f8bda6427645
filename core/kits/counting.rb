# frozen_string_literal: true

require_relative "gear"
require_relative "person"
require_relative "refresh_day"

module NutShelf
  module Core
    module Kits
      # Whether a stack counts for a kit that nobody touches until its next refresh, and else the first reason why not
      # (docs/kits.md 2).
      class Counting
        REASONS = %i[elsewhere stopped open cold undated early freezes heat nobody].freeze
        # A sealed pack that keeps less in a cupboard is no store: eat it first.
        STORE_DAYS = 28

        # @param catalog [Catalog]
        # @param figures [Figures]
        # @param must_reach [Date] the day a date must reach
        # @param people [Array<Person>]
        # @param gear [Symbol]
        # @param disliked [Boolean] whether what somebody does not like counts as eaten
        def initialize(catalog, figures, must_reach:, people:, gear: :full, disliked: false)
          @catalog = catalog
          @must_reach = must_reach
          @people = people
          @gear = gear
          @disliked = disliked
          @quick = figures.usual("kit-quick-minutes")
          freeze
        end

        # @param stack [SupplyStack]
        # @return [Symbol] :counts, or one of REASONS
        def of(stack) = REASONS.find { |reason| send(:"#{reason}?", stack) } || :counts

        private

        def elsewhere?(stack) = stack.reserved_elsewhere

        def stopped?(stack) = %i[stop look].include?(stack.state)

        def open?(stack) = stack.open

        def cold?(stack)
          return true if %w[fridge freezer].include?(stack.place)

          answer = @catalog.keeping(stack.food, "bought_sealed", "cupboard")
          !answer.row? || answer.row.low < STORE_DAYS
        end

        def undated?(stack) = stack.usable_until.nil? && stack.food.date_kind_usual != "none"

        def early?(stack) = !stack.reaches?(@must_reach)

        def freezes?(stack) = stack.food.freezing_damage && !stack.place_low_c.nil? && stack.place_low_c.negative?

        def heat?(stack) = !Gear.makes?(stack.food, @gear, quick: @quick)

        def nobody?(stack)
          return false if stack.food.pet || stack.food.food_group == "water"

          @people.none? { |one| one.eats?(stack.food, disliked: @disliked) }
        end
      end
    end
  end
end
