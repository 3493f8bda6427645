# frozen_string_literal: true

require_relative "../../core/dating/words"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/kits/laying_out"
require_relative "../../exchange/papers/paper"
require_relative "../views/kit_words"

module NutShelf
  module Api
    module Papers
      # A kit's menu for the lid of the first box: by day and meal what to open, minutes of flame and water to cook in.
      class KitMenuPaper
        MEALS = { "morning" => "Morning", "midday" => "Midday", "evening" => "Evening" }.freeze

        # @param work [Desk::UnitOfWork]
        # @param kit [Store::Rows::Kit]
        def initialize(work, kit)
          @work = work
          @kit = kit
          @book = Desk::Kits::KitBook.new(work, kit)
          @menu = Desk::Kits::LayingOut.new(work, @book).menu
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: "#{@kit.name}: what to eat when", subtitle: subtitle, back: "/kits/#{@kit.id}",
            parts: [*@menu.meals.group_by(&:day).sort.map { |day, meals| day(day, meals) }, left].compact
          )
        end

        private

        def subtitle
          litres = [@menu.heat_l, @menu.cook_water_l].map { |one| KitWords.plain(Core::Kits::Rounding.up(one, 1)) }
          "#{litres.first} l to bring to the boil and #{litres.last} l of water to cook in, all days together. " \
            "Stoves that burn fuel only outdoors."
        end

        def day(day, meals)
          Exchange::Papers::Table.new(
            heading: "Day #{day}", columns: ["", "", "Flame", "Water"], shares: [2, 8, 2, 2],
            rows: meals.map { |meal| row(meal) }
          )
        end

        def row(meal)
          nobody = meal.nothing_for.map(&:name)
          food = meal.grams.sort_by { |one, _| one.name }.map { |one, grams| "#{one.name}, #{amount(grams)}" }
          food << "nothing for #{nobody.join(", ")}" if nobody.any?
          [MEALS.fetch(meal.meal), food.join("\n"), minutes(meal), water(meal)]
        end

        def amount(grams) = @work.amount(Core::Quantity.new(grams.floor.to_r, :mass))

        # One pot after the other.
        def minutes(meal)
          sum = meal.grams.keys.select { |food| food.preparing.heat? }.sum { |food| food.preparing.minutes || 0 }
          sum.positive? ? "#{sum.ceil} min" : ""
        end

        def water(meal)
          sum = meal.grams.sum(0r) do |food, grams|
            food.preparing.water_is_drunk ? 0r : (food.preparing.water_ml || 0) * grams / 100
          end
          sum.positive? ? "#{sum.ceil} ml" : ""
        end

        def left
          return if @menu.left.empty?

          Exchange::Papers::Lines.new(
            heading: "Left over", items: @menu.left.map { |food, grams| "#{food.name}, #{amount(grams)}" }.sort
          )
        end
      end
    end
  end
end
