# frozen_string_literal: true

require_relative "../../core/kits/menu"
require_relative "shelf_cases"

module NutShelf
  module Exchange
    module KitCases
      # A menu from a kit.
      class MenuCase < Reading
        # @return [Hash]
        def answer
          laid = Core::Kits::Menu.new(
            catalog, figures, days: @case.whole("days"), kcal_per_day: @case.positive("kcal_per_day"),
            eaters: people("eaters"), gear: choice("gear", Core::Kits::Gear::WORDS.map(&:to_s), "full"),
            heat_l: @case.number("heat_l"), cook_water_l: @case.number("cook_water_l")
          ).call(stacks)
          {
            meals: laid.meals.map { |meal| told(meal) },
            days: laid.days.map { |kcal| { kcal: down(kcal), percent: down(kcal * 100 / laid.need) } },
            left: foods(laid.left).to_h, heat_l: up(laid.heat_l), cook_water_l: up(laid.cook_water_l)
          }
        end

        private

        def told(meal)
          {
            day: meal.day, meal: meal.meal, kcal: down(meal.kcal), food: foods(meal.grams),
            nothing_for: meal.nothing_for.map(&:name)
          }
        end

        def foods(grams) = grams.map { |food, amount| [food.key, down(amount)] }.sort

        def down(number) = ROUND.down(number)

        def up(number) = self.class.plain(ROUND.up(number, 2))
      end
    end
  end
end
