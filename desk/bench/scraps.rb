# frozen_string_literal: true

require_relative "../dish_food"
require_relative "../fit"
require_relative "../own_food"
require_relative "../poured"
require_relative "../refusal"

module NutShelf
  module Desk
    module Bench
      # Bones and trimmings that are saved for stock: worth nothing, of a food that no dish takes, which keeps as raw
      # poultry does at most, whatever it is of, and of cooked food as cooked meat does. What may hold something is
      # another food to whoever may not have it.
      class Scraps
        KEY = "scraps-for-stock"
        # Of raw meat none turns sooner.
        LIKE = "chicken-thighs"
        COOKED = %w[left_over cooked].freeze

        # @param food [Core::Food]
        # @return [Boolean]
        def self.of?(food) = food.key.start_with?(KEY)

        # @param work [UnitOfWork]
        # @param entry [Entry]
        def initialize(work, entry)
          @work = work
          @entry = entry
        end

        # @param pool [Store::Rows::Lot] they are taken from
        # @param grams [Rational]
        # @param asked [Hash] :place_id, :container_id the tub they go into, or nil
        # @return [Store::Rows::Lot] that holds them then
        def save(pool, grams, asked)
          tub = asked[:container_id] && @work.house.containers.find(asked[:container_id])
          place = @work.place_in_use(asked[:place_id] || tub&.place_id || pool.place_id)
          food_id = food(@work.food(pool.food_id), COOKED.include?(pool.situation))
          full = tub && standing(tub, food_id)
          lot = split(pool, grams, place, food_id, full ? nil : tub)
          full ? pour(full, lot, grams) : lot
        end

        private

        def split(pool, grams, place, food_id, tub)
          pool = @entry.now(pool)
          moved = place.id == pool.place_id ? [] : [@work.happening("moved", place_id: place.id)]
          lot = @entry.new_lot(
            **pool.slice(*Store::Lots::PAST), food_id: food_id, place_id: place.id, open: true,
            container_id: tub&.id, history: [*pool.history, *moved]
          )
          @entry.came_of(lot, pool, grams, "split")
          @entry.move(pool, -grams, 0, "split")
          @entry.move(lot, grams, 0, "split")
        end

        # What is in the tub already; a tub that holds something else takes no scraps.
        def standing(tub, food_id)
          inside = @work.house.lots.in_container(tub.id)
          found = inside.find { |lot| lot.food_id == food_id && lot.dimension == "mass" }
          used = @work.house.containers.in_use(tub.id)
          raise Refusal.of(:every_jar_in_use, jar: tub.name) if found.nil? && used >= tub.owned

          found
        end

        def pour(full, lot, grams)
          jar = @work.house.lots.lock_one(full.id)
          Fit.check(@work, jar, @entry.redate.part(jar), pointer: "/by_products")
          part = @entry.redate.part(@entry.now(lot))
          @entry.move(jar, grams, 0, "split")
          @entry.came_of(jar, lot, grams, "poured")
          @entry.move(lot, -grams, 0, "split")
          @entry.happen(jar, Poured.event(@work, part, lot.id))
        end

        def food(of, cooked)
          holds = of.allergens.sort
          name = [cooked ? "Cooked scraps for stock" : "Scraps for stock", *("with #{holds.join(", ")}" if holds.any?)]
          OwnFood.ensure(
            @work, @entry,
            key: [KEY, *("cooked" if cooked), *holds].join("-"), name: name.join(", "), allergens: holds,
            class_key: cooked ? DishFood::COOKED : LIKE, aisle: of.aisle, food_group: "protein", dimension: "mass"
          )
        end
      end
    end
  end
end
