# frozen_string_literal: true

require_relative "../../value"

module NutShelf
  module Core
    module Kits
      module Endurance
        # Food that is alike for the reckoning: how much of the nutrient it gives, litres of cooking water and of heat
        # for one unit of that, the groups of people who eat it (as bits), its last day, and whether it is one of the
        # extras that make no meal alone. Frozen.
        FoodClass =
          Value.of(:amount, :water, :heat, :mask, :last, :extra) do
            # @param classes [Array<FoodClass>]
            # @return [Array<FoodClass>] those that are alike as one
            def self.gathered(classes)
              classes.group_by { |one| [one.water, one.heat, one.mask, one.last, one.extra] }
                .map { |_, list| list.first.with(amount: list.sum(0r, &:amount)) }
            end
          end
      end
    end
  end
end
