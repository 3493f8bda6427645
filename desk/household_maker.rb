# frozen_string_literal: true

require_relative "../store/house"
require_relative "errors"
require_relative "redate"

module NutShelf
  module Desk
    # Makes a household on an empty instance: its keeper, places to start with, the shipped foods and dishes.
    class HouseholdMaker
      FIRST_PLACES = [
        { name: "Cupboard", kind: "cupboard", tier: "working", low_c: 17, high_c: 23 },
        { name: "Fridge", kind: "fridge", tier: "working", low_c: 2, high_c: 6 },
        { name: "Freezer", kind: "freezer", tier: "backstock", low_c: -20, high_c: -18 }
      ].freeze

      # @param services [Services]
      def initialize(services)
        @services = services
      end

      # @param account_id [Integer] who becomes its keeper
      # @param input [Hash] :name, :time_zone, :currency, :day_order, :people (count), :settings (see SetHousehold)
      # @param places [Array<Hash>]
      # @return [Integer] household id
      def make(account_id, input, places: FIRST_PLACES)
        id =
          @services.database.making do |db|
            Store::Households.make(
              db,
              account_id: account_id,
              **input.slice(:name, :time_zone, :currency, :day_order, :settings).compact
            )
          end
        furnish(id, input, places)
        id
      end

      private

      def furnish(id, input, places)
        @services.database.within(id) do |db|
          house = Store::House.new(db, id)
          house.household.update(dated_by: Redate::RULES)
          places.each { |place| house.places.add(**place) }
          Array.new(input[:people] || 0) { |number| house.household.add_person(name: "Person #{number + 1}") }
          house.foods.seed(@services.catalog, @services.search_words)
          house.recipes.seed(@services.catalog.recipes, house.foods.ids_by_key)
        end
      end
    end
  end
end
