# frozen_string_literal: true

require_relative "perishable"

module NutShelf
  module Core
    module Outage
      # In what order to eat in the dark: by the hour each stops keeping, what spoils first, its date (docs/kits.md 8).
      class EatFirst
        # @param catalog [Catalog]
        # @param figures [Figures]
        # @param hours_allowed [Rational] of the freezer
        def initialize(catalog, figures, hours_allowed:)
          @perishable = Perishable.new(catalog)
          @fridge = figures.usual("fridge-hours-no-power")
          @freezer = hours_allowed
          freeze
        end

        # @param items [Array<Item>]
        # @return [Array<Item>]
        def call(items)
          items.sort_by do |item|
            [hour(item), perishable?(item) ? 0 : 1, item.usable_until&.jd || Float::INFINITY, item.id.to_s]
          end
        end

        # @param item [Item]
        # @return [Rational] hours in the dark until it stops keeping, with the door shut
        def hour(item)
          return @freezer if item.place == "freezer"
          return @fridge if perishable?(item)

          (@perishable.cupboard_days(item.food, item.situation) || 1) * 24r
        end

        # @param item [Item]
        # @return [Boolean]
        def perishable?(item) = @perishable.of?(item.food, item.situation, item.place)
      end
    end
  end
end
