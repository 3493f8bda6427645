# frozen_string_literal: true

require_relative "../../core/planning/weight"
require_relative "../../core/value"

module NutShelf
  module Desk
    module Trips
      # Another food for a box: its usual pack, what that gives, what it costs where that is known. Frozen.
      BoxIdea = Core::Value.of(:food_id, :food, :grams, :kcal, :protein_g, :price_minor)

      # What else could stand in a box: eaten as it is, by one at one sitting, kept for years, nothing somebody dislikes
      # or may not have; first what gives most energy and protein for its weight and for its price.
      class BoxIdeas
        MOST = 3
        # A sitting: grams of a pack somebody eats up at once.
        SITTING_G = (80..500)
        # Nor is it more energy than a large meal, or more than so many servings: nobody eats up a tub of powder.
        SITTING_KCAL = 1000
        SERVINGS = 4
        # Days a sealed pack keeps at least.
        KEEPS = 360
        # A gram of protein counts as so many kcal.
        PROTEIN = 10
        # Nobody eats these as a meal.
        BESIDES = ["Drinks", "Water", "Herbs and spices", "Oils and fats", "Baking", "Pet", "Household supplies",
                   "Home leftovers"].freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param freezes [Boolean] whether the box gets below freezing
        # @param besides [Array<Integer>] foods that stand there already
        # @return [Array<BoxIdea>] best first
        def call(freezes:, besides: [])
          found = all.reject { |one| besides.include?(one.food_id) || (freezes && one.food.freezing_damage) }
          by_weight = rank(found) { |one| -worth(one) / one.grams }
          by_price = rank(found) { |one| one.price_minor ? -worth(one) / [one.price_minor, 1].max : 0 }
          found.min_by(MOST) { |one| [by_weight.fetch(one) + by_price.fetch(one), one.food.name] }
        end

        private

        def all
          @all ||= begin
            foods = @work.every_food.select { |_, food| fit?(food) }
            paid = @work.house.packs.paid(foods.keys).to_h { |row| [row.food_id, row] }
            foods.filter_map { |id, food| idea(id, food, paid[id]) }
          end
        end

        def fit?(food)
          food.ready_to_eat && !food.pet && !BESIDES.include?(food.aisle) && food.nutrition&.kcal &&
            food.nutrition.protein_g && liked?(food) && keeps?(food)
        end

        def liked?(food)
          @work.eaters.none? { |one| one.dislikes.include?(food.key) || one.excludes.intersect?(food.allergens) }
        end

        def keeps?(food)
          row = @work.catalog.keeping(food, "bought_sealed", "cupboard").row
          !row.nil? && row.low >= KEEPS
        end

        def idea(id, food, paid)
          sizes = food.typical_packs.filter_map { |size| Core::Weight.of_pack(food, size) }
          grams = sizes.select { |size| one_sitting?(food, size) }.min or return
          BoxIdea.new(
            food_id: id, food: food, grams: grams, kcal: food.nutrition.kcal * grams / 100,
            protein_g: food.nutrition.protein_g * grams / 100, price_minor: paid && price(food, paid, grams)
          )
        end

        def one_sitting?(food, grams)
          SITTING_G.cover?(grams) && food.nutrition.kcal * grams / 100 <= SITTING_KCAL &&
            (food.serving_g.nil? || grams <= food.serving_g * SERVINGS)
        end

        def price(food, paid, grams)
          per_unit = Core::Weight.of_unit(food, paid.dimension.to_sym, nil) or return
          (paid.price_minor * grams / (paid.amount * per_unit)).round
        end

        def worth(idea) = idea.kcal + (PROTEIN * idea.protein_g)

        def rank(list, &by) = list.sort_by(&by).each_with_index.to_h
      end
    end
  end
end
