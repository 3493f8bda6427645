# frozen_string_literal: true

require_relative "foods"
require_relative "households"
require_relative "ledger"
require_relative "lots"
require_relative "meals"
require_relative "packs"
require_relative "places"
require_relative "recipes"
require_relative "requests"
require_relative "rules"

module NutShelf
  module Store
    # Everything of one household, inside one transaction.
    class House
      attr_reader :household, :places, :foods, :packs, :lots, :ledger, :recipes, :meals, :requests, :rules

      def initialize(db, household_id)
        @household = Households.new(db, household_id)
        @places = Places.new(db, household_id)
        @foods = Foods.new(db, household_id)
        @packs = Packs.new(db, household_id)
        @lots = Lots.new(db, household_id)
        @ledger = Ledger.new(db, household_id)
        @recipes = Recipes.new(db, household_id)
        @meals = Meals.new(db, household_id)
        @requests = Requests.new(db, household_id)
        @rules = Rules.new(db, household_id)
      end
    end
  end
end
