# frozen_string_literal: true

require_relative "../../core/planning/weight"
require_relative "../../core/value"

module NutShelf
  module Desk
    module Bench
      # What could be eaten instead of something made at home, by the price book: the pack that was bought last, what it
      # cost, its energy and protein. Minor units, kcal, grams. Frozen.
      ReadyPack = Core::Value.of(:food_id, :name, :grams, :price_minor, :kcal, :protein_g)

      # Ready-made food the household paid for.
      class ReadyMade
        # Nobody eats these instead of a portion.
        BESIDES = ["Drinks", "Water", "Herbs and spices", "Oils and fats", "Baking", "Jars and sauces", "Pet",
                   "Household supplies", "Fresh fruit", "Fresh vegetables", "Home leftovers"].freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Array<ReadyPack>] by name
        def all
          ready = @work.every_food.select { |_, food| ready?(food) }
          latest = @work.house.packs.paid(ready.keys).to_h { |row| [row.food_id, row] }
          latest.filter_map { |id, row| pack(id, ready.fetch(id), row) }.sort_by(&:name)
        end

        private

        def ready?(food)
          nutrition = food.nutrition
          food.ready_to_eat && nutrition&.kcal && nutrition.protein_g && !BESIDES.include?(food.aisle)
        end

        def pack(id, food, row)
          per_unit = Core::Weight.of_unit(food, row.dimension.to_sym, nil) or return
          size = row.pack || row.amount
          grams = size * per_unit
          return unless grams.positive?

          ReadyPack.new(
            food_id: id, name: food.name, grams: grams, price_minor: (row.price_minor * size / row.amount).round,
            kcal: food.nutrition.kcal * grams / 100, protein_g: food.nutrition.protein_g * grams / 100
          )
        end
      end
    end
  end
end
