# frozen_string_literal: true

require_relative "../own_food"

module NutShelf
  module Desk
    module Preserving
      # The food that what was dried or bottled is from then on: it keeps by the rows of its home-made class, and no
      # dish takes it for the fresh one.
      class KeptFood
        DRIED = "home-dried-"

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
          own = base.key.start_with?(DRIED) && (from.allergens - base.allergens).empty?
          return @work.shelf.food_ids.fetch(base.key) if own

          add(key: "#{DRIED}#{drying.key}", name: "#{drying.name}, dried at home", class_key: dried_class(base),
            from: from)
        end

        # @param product [Core::ProduceJar]
        # @param from [Core::Food] what was bottled
        # @return [Integer] food id
        def bottled(product, from)
          name = "#{product.product}, bottled at home"
          add(key: self.class.bottled_key(product.product), name: name, class_key: product.jar_class, from: from)
        end

        # @param product [String] of the table
        # @return [String] key of the food it becomes, before what it holds
        def self.bottled_key(product) = "bottled-#{product.downcase.gsub(/[^a-z]+/, "-")}"

        # @param catalog [Core::Catalog]
        # @param process [String] "drying" or "bottling"
        # @param cut [String] of the drying table, or what it was bottled as
        # @param key [String] of a food
        # @return [Boolean] whether that food came of it, whatever else its key says it holds
        def self.of?(catalog, process, cut, key)
          base = process == "bottling" ? bottled_key(cut) : dried_key(catalog, cut)
          return false unless key.start_with?(base)

          base == bases(catalog).select { |one| key == one || key.start_with?("#{one}-") }.max_by(&:size)
        end

        # The keys of all that is bottled and dried, before what it holds.
        def self.bases(catalog)
          trips = catalog.trips
          [
            *trips.produce_jars.map { |one| bottled_key(one.product) },
            *trips.drying.keys.map { |cut| dried_key(catalog, cut) }
          ]
        end

        # Dried mince is a food of the tables.
        def self.dried_key(catalog, cut)
          kept = catalog.trips.drying[cut]&.keep_as.to_s
          kept.start_with?(DRIED) ? kept : "#{DRIED}#{cut}"
        end
        private_class_method :bases, :dried_key

        # @param catalog [Core::Catalog]
        # @param food [Core::Food]
        # @return [String, nil] the class it keeps as once it is dried; nil where nobody knows
        def self.dried_class(catalog, food) = catalog.keeping(food, "home_dried", "cupboard").row&.scope

        private

        def dried_class(base) = self.class.dried_class(@work.catalog, base) || "class-home-dried-meals"

        # What holds something else is another food to whoever may not have it.
        def add(key:, name:, class_key:, from:)
          OwnFood.ensure(
            @work, @entry,
            key: [key, *from.allergens.sort].join("-"), name: name, class_key: class_key, allergens: from.allergens,
            aisle: @work.catalog.foods[class_key]&.aisle || from.aisle, food_group: from.food_group, dimension: "mass"
          )
        end
      end
    end
  end
end
