# frozen_string_literal: true

require_relative "../shopping/offers"
require_relative "batch_log"
require_relative "kept_food"

module NutShelf
  module Desk
    module Preserving
      # Food that no shop has, because the house dries it itself: how much goes in for it, and the last day to begin.
      class HomeMade
        # Of a dryer nobody described.
        DRYER = { trays: 5r, tray_dm2: 9r, day_hours: 12r }.freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
          @log = BatchLog.new(work)
        end

        # @param food [Core::Food]
        # @return [Core::Drying, nil] how it is made; nil for what a shop has
        def drying(food)
          return unless food.key.start_with?(KeptFood::DRIED)

          @work.catalog.trips.drying.values.find { |one| one.keep_as == food.key }
        end

        # @param drying [Core::Drying]
        # @param grams [Rational] that are to come out
        # @return [Rational] grams that go in
        def raw_g(drying, grams) = grams / @log.next_time(drying).yield

        # @param drying [Core::Drying]
        # @param grams [Rational] that are to come out
        # @param needed_on [Date]
        # @return [Date] the last day to begin
        def start_on(drying, grams, needed_on)
          @log.loads(drying, raw_g(drying, grams), **DRYER, needed_on: needed_on).start_on
        end

        # @param drying [Core::Drying]
        # @return [Boolean] whether what goes in costs less now than it usually does, by the price book
        def cheap_now?(drying)
          id = @work.shelf.food_ids[drying.food_key]
          !id.nil? && Offers.new(@work).of(id).cheap_now?(@work.today)
        end

        # @param drying [Core::Drying]
        # @return [Rational] grams that batches give that are under way
        def under_way(drying)
          going = @log.all.select { |one| one.process == "drying" && one.cut == drying.key && one.status == "going" }
          going.sum(0r) { |one| @log.next_time(drying).out_g(one.in_g) }
        end
      end
    end
  end
end
