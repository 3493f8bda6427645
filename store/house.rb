# frozen_string_literal: true

require_relative "care"
require_relative "containers"
require_relative "dish_photos"
require_relative "counts"
require_relative "access"
require_relative "batches"
require_relative "foods"
require_relative "households"
require_relative "kits"
require_relative "ledger"
require_relative "lots"
require_relative "meals"
require_relative "occasions"
require_relative "outcomes"
require_relative "packs"
require_relative "places"
require_relative "readings"
require_relative "recipes"
require_relative "records"
require_relative "requests"
require_relative "reservations"
require_relative "rules"
require_relative "soundness"
require_relative "shopping"
require_relative "sources"
require_relative "own_bags"
require_relative "season"
require_relative "trips"
require_relative "usage"

module NutShelf
  module Store
    # Everything of one household, inside one transaction.
    class House
      attr_reader :soundness,
        :sources,
        :household,
        :places,
        :foods,
        :packs,
        :lots,
        :ledger,
        :recipes,
        :meals,
        :occasions,
        :dish_photos,
        :requests,
        :reservations,
        :rules,
        :records,
        :counts,
        :usage,
        :care,
        :containers,
        :access,
        :readings,
        :shopping,
        :outcomes,
        :kits,
        :batches,
        :trips,
        :own_bags,
        :season,
        :db

      def initialize(db, household_id)
        @db = db
        @household = Households.new(db, household_id)
        @places = Places.new(db, household_id)
        @foods = Foods.new(db, household_id)
        @packs = Packs.new(db, household_id)
        @lots = Lots.new(db, household_id)
        @ledger = Ledger.new(db, household_id)
        @recipes = Recipes.new(db, household_id)
        @kits = Kits.new(db, household_id)
        @batches = Batches.new(db, household_id)
        @trips = Trips.new(db, household_id)
        @season = Season.new(db, household_id)
        @own_bags = OwnBags.new(db, household_id)
        @meals = Meals.new(db, household_id)
        @dish_photos = DishPhotos.new(db, household_id)
        @occasions = Occasions.new(db, household_id)
        @outcomes = Outcomes.new(db, household_id)
        @requests = Requests.new(db, household_id)
        @reservations = Reservations.new(db, household_id)
        @soundness = Soundness.new(db, household_id)
        @sources = Sources.new(db, household_id)
        @rules = Rules.new(db, household_id)
        @records = Records.new(db, household_id)
        @counts = Counts.new(db, household_id)
        @usage = Usage.new(db, household_id)
        @care = Care.new(db, household_id)
        @containers = Containers.new(db, household_id)
        @access = Access.new(db, household_id)
        @shopping = Shopping.new(db, household_id)
        @readings = Readings.new(db, household_id)
      end
    end
  end
end
