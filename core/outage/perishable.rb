# frozen_string_literal: true

module NutShelf
  module Core
    module Outage
      # Whether food spoils once the cold is gone (docs/kits.md 8): what is high risk, and what keeps in a fridge only
      # as a matter of safety. In the freezer the question is the same, without the seal.
      class Perishable
        MADE = %w[cut cooked left_over].freeze

        # @param catalog [Catalog]
        def initialize(catalog)
          @catalog = catalog
          freeze
        end

        # @param food [Food]
        # @param situation [String] of the keeping rules
        # @param place [String]
        # @return [Boolean]
        def of?(food, situation, place)
          return food.high_risk || safety?(food, "opened") if place == "freezer"

          shelf = @catalog.keeping(food, situation, "cupboard").row?
          mixed = @catalog.home_class?(food.key)
          return false if situation == "bought_sealed" && shelf
          return true if food.high_risk
          return false if shelf && !mixed

          safety?(food, situation) || mixed || MADE.include?(situation)
        end

        # @param food [Food]
        # @param situation [String]
        # @return [Integer, nil] days it keeps out of the cold, at the low figure; thawed food by what it keeps once
        #   thawed
        def cupboard_days(food, situation)
          row = @catalog.keeping(food, situation, "cupboard").row or return
          row.place == "freezer" ? row.after_thaw_days : row.low
        end

        private

        def safety?(food, situation) = @catalog.keeping(food, situation, "fridge").row&.kind == :safety
      end
    end
  end
end
