# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      module Endurance
        # Whether a table can be filled within so much cooking water and heat, nil for no limit (docs/kits.md 7).
        #
        # All fillings make a convex set of (water, heat), each as a share of what there is. It meets the square up to
        # (1, 1) unless some weighing of the two puts even the cheapest filling above 1. The weights to try are those at
        # which two known corners cost the same: each either is such a weighing, or gives a new corner nearer to it.
        class Budgets
          # @param water [Rational, nil] litres
          # @param heat [Rational, nil] litres brought to the boil
          def initialize(water:, heat:)
            @water = water
            @heat = heat
            freeze
          end

          # @param one [FoodClass]
          # @return [Boolean] whether it can be made at all
          def makes?(one) = !(@water&.zero? && one.water.positive?) && !(@heat&.zero? && one.heat.positive?)

          # @param table [Table] of food that can be made
          # @return [Boolean]
          def allow?(table)
            return false unless table.enough?

            dry = corner(table, 1r)
            return false if dry.nil? || dry.first > 1
            return true if dry.last <= 1

            cold = corner(table, 0r)
            return false if cold.last > 1

            cold.first <= 1 || meet?(table, dry, cold)
          end

          private

          # @return [Array(Rational, Rational), nil] shares of water and heat of the cheapest filling, nil where there
          #   is none
          def corner(table, weight)
            filling = table.fill { |one| price(one, weight) }
            [share(filling.water, @water), share(filling.heat, @heat)] if filling.complete
          end

          # Among those of one price, what takes less of the other.
          def price(one, weight)
            water = share(one.water, @water)
            heat = share(one.heat, @heat)
            [(weight * water) + ((1 - weight) * heat), water + heat]
          end

          def share(amount, whole) = whole.nil? || whole.zero? ? 0r : amount / whole

          def meet?(table, dry, cold)
            until between?(dry, cold)
              weight = (dry.last - cold.last) / (dry.last - cold.last + cold.first - dry.first)
              found = corner(table, weight)
              return false if cost(found, weight) > 1 || cost(found, weight) == cost(dry, weight)
              return true if found.all? { |part| part <= 1 }

              found.first <= 1 ? dry = found : cold = found
            end
            true
          end

          def cost(corner, weight) = (weight * corner.first) + ((1 - weight) * corner.last)

          # @return [Boolean] whether a mix of the two stays within both
          def between?(dry, cold)
            part = (1 - dry.first) / (cold.first - dry.first)
            dry.last + (part * (cold.last - dry.last)) <= 1
          end
        end
      end
    end
  end
end
