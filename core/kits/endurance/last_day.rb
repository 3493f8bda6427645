# frozen_string_literal: true

require_relative "../../outage/perishable"

module NutShelf
  module Core
    module Kits
      module Endurance
        # The last day a stack can be eaten on, counted from the first day as 1: its date, and without power what the
        # warming fridge and the thawing freezer leave (docs/kits.md 7).
        class LastDay
          # @param catalog [Catalog]
          # @param figures [Figures]
          # @param start [Date] day 1
          # @param power [Boolean]
          # @param freezer_fill [Rational] how full the freezer is, 0 to 1
          def initialize(catalog, figures, start:, power:, freezer_fill: 1r)
            @perishable = Outage::Perishable.new(catalog)
            @start = start
            @power = power
            @frozen_days = [(figures.usual("freezer-hours-full") * freezer_fill / 24).floor, 1].max
            freeze
          end

          # @param stack [SupplyStack]
          # @return [Integer] 0 for what has no date, or is over already
          def of(stack)
            return 0 unless stack.usable_until

            dated = (stack.usable_until - @start).to_i + 1
            [dated, @power ? dated : without_power(stack, dated), 0].sort[1]
          end

          private

          def without_power(stack, dated)
            perishable = @perishable.of?(stack.food, stack.situation, stack.place)
            case stack.place
            when "fridge" then perishable ? 1 : (@perishable.cupboard_days(stack.food, stack.situation) || 0) + 1
            when "freezer"
              @frozen_days + (perishable ? 0 : @perishable.cupboard_days(stack.food, "thawed") || 0)
            else dated
            end
          end
        end
      end
    end
  end
end
