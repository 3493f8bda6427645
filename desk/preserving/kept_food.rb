# frozen_string_literal: true

module NutShelf
  module Desk
    module Preserving
      # The food that what was dried or bottled is from then on: it keeps by the rows of its home-made class, and no
      # dish takes it for the fresh one.
      class KeptFood
        # @param work [UnitOfWork]
        # @param entry [Entry]
        def initialize(work, entry)
          @work = work
          @entry = entry
        end

        # @param drying [Core::Drying]
        # @param from [Core::Food] what was dried
        # @return [Integer] food id
        def dried(drying, from)
          base = @work.catalog.foods[drying.keep_as || drying.food_key]
          own = base.key.start_with?("home-dried-") && (from.allergens - base.allergens).empty?
          return @work.shelf.food_ids.fetch(base.key) if own

          add(key: "home-dried-#{drying.key}", name: "#{drying.name}, dried at home", class_key: dried_class(base),
            from: from)
        end

        # @param product [Core::ProduceJar]
        # @param from [Core::Food] what was bottled
        # @return [Integer] food id
        def bottled(product, from)
          name = "#{product.product}, bottled at home"
          add(key: "bottled-#{product.product.downcase.gsub(/[^a-z]+/, "-")}", name: name,
            class_key: product.jar_class, from: from)
        end

        # @param catalog [Core::Catalog]
        # @param food [Core::Food]
        # @return [String, nil] the class it keeps as once it is dried; nil where nobody knows
        def self.dried_class(catalog, food) = catalog.keeping(food, "home_dried", "cupboard").row&.scope

        private

        def dried_class(base) = self.class.dried_class(@work.catalog, base) || "class-home-dried-meals"

        # What holds something else is another food to whoever may not have it.
        def add(key:, name:, class_key:, from:)
          key = [key, *from.allergens.sort].join("-")
          known = @work.house.foods.by_key([key])[key]
          return known.id if known

          facts = {
            key: key, name: name, class_key: class_key, allergens: from.allergens,
            aisle: @work.catalog.foods[class_key]&.aisle || from.aisle, food_group: from.food_group, dimension: "mass"
          }
          @work.house.foods.add(**facts).tap { |id| @entry.made("food", id, facts) }
        end
      end
    end
  end
end
