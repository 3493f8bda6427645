# frozen_string_literal: true

require_relative "../bags/part_date"

module NutShelf
  module Core
    module Portioning
      # Until when portions are good, fresh and frozen: the earliest of what goes in (docs/trips.md 1). Raw food by its
      # own rows, a cooked bowl by its class; past a safety date, or without a row for the freezer, it is not frozen.
      class PortionDates
        # @param catalog [Catalog]
        # @param policy [Policy]
        # @param cooked [Food, nil] the class of a cooked bowl
        def initialize(catalog, policy, cooked: nil)
          @catalog = catalog
          @policy = policy
          @cooked = cooked
        end

        # @param raw [Array<Bags::BagStack>] what goes in as it is, things added among it
        # @param on [Date]
        # @return [Bags::Until, nil]
        def fresh(raw, on) = earliest([*cooked_until(on, "fridge"), *parts(raw, on, "fridge")])

        # @return [Bags::Until, nil] nil for what is not frozen
        def frozen(raw, on)
          return unless raw.all? { |stack| freezes?(stack.food, "frozen_at_home") }
          return if @cooked && !freezes?(@cooked, "cooked")

          found = earliest([*cooked_until(on, "freezer"), *parts(raw, on, "freezer")])
          found if found && found.on >= on
        end

        private

        def freezes?(food, situation) = @catalog.keeping(food, situation, "freezer").row?

        def parts(raw, on, place)
          dates = Bags::PartDate.new(@catalog, @policy, place: place)
          raw.map { |stack| dates.of(stack, on) }
        end

        def cooked_until(on, place)
          return [] unless @cooked

          row = @catalog.keeping(@cooked, "cooked", place).row or return []
          [Bags::Until.new(on: on + row.days(@policy.school), kind: place == "freezer" ? :quality : row.kind)]
        end

        def earliest(dates) = dates.compact.min_by { |one| [one.on, one.kind == :safety ? 0 : 1] }
      end
    end
  end
end
