# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # Whole days for which everybody finds a serving with taste; names of those for whom nothing of that is there that
      # they may have and like; foods that go soft before a pack is eaten. Frozen.
      Comfort = Value.of(:taste_days, :tasteless, :softening)

      # What keeps people eating when there is nothing but the box (docs/kits.md 3).
      class Comforts
        TASTY = %w[sweets condiments drinks].freeze

        # @param eaters [Array<Person>]
        # @param crunch [Array<String>] keys of foods that are crisp, and soft within a day in hot, damp air
        # @param hot [Boolean] whether it is hot and damp where the kit is used
        def initialize(eaters:, crunch:, hot: false)
          @eaters = eaters
          @crunch = crunch
          @hot = hot
          freeze
        end

        # @param stacks [Array<Given>] that count
        # @return [Comfort]
        def call(stacks)
          tasty = stacks.select { |one| one.for_people? && TASTY.include?(one.stack.food.food_group) }
          Comfort.new(
            taste_days: @eaters.empty? ? 0 : (tasty.sum(0r, &:servings) / @eaters.size).floor,
            tasteless: @eaters.reject { |who| tasty.any? { |one| who.eats?(one.stack.food) } }.map(&:name).freeze,
            softening: softening(stacks).freeze
          )
        end

        private

        # A sitting is a serving for each.
        def softening(stacks)
          return [] unless @hot

          stacks.select { |one| @crunch.include?(one.stack.food.key) && one.servings > one.stack.packs * @eaters.size }
            .map { |one| one.stack.food.key }.uniq.sort
        end
      end
    end
  end
end
