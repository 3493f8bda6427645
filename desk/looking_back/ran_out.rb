# frozen_string_literal: true

require_relative "../../core/looking_back/run_out"

module NutShelf
  module Desk
    module LookingBack
      # What there was none of for a while although it is eaten here.
      class RanOut
        # Less is no habit: nobody misses it.
        USED_DAYS = 3

        # @param work [UnitOfWork]
        # @param from [Date]
        # @param to [Date]
        def initialize(work, from:, to:)
          @work = work
          @from = from
          @to = to
        end

        # @return [Array<Core::RunOut>] the latest first
        def all
          found = @work.house.outcomes.food_by_day.slice(*used).flat_map { |id, days| Core::RunOut.of(id, days) }
          lacking = found.select do |one|
            one.on <= @to && (one.until_on.nil? || one.until_on > @from) && one.days(@to) > 1
          end
          lacking.sort_by { |one| [-one.on.jd, one.food_id] }
        end

        private

        # What people cooked themselves runs out as it should.
        def used
          days = @work.house.usage.daily(@to).group_by(&:food_id).select do |_, uses|
            uses.map(&:occurred_on).uniq.size >= USED_DAYS
          end
          @work.know_foods(days.keys)
          days.keys.reject { |id| @work.food(id).aisle == "Home leftovers" }
        end
      end
    end
  end
end
