# frozen_string_literal: true

require_relative "redate_stacks"
require_relative "unit_of_work"

module NutShelf
  module Desk
    # Dates stacks anew that were dated by older rules, or came from a backup: stored dates are never taken on trust.
    # Foods and dishes that were shipped or put right since the household was made are brought in.
    class CatchUp
      # @param services [Services]
      def initialize(services)
        @services = services
      end

      # @return [Integer] stacks whose last good day changed, over all households
      def call = @services.database.outside { |db| Store::Households.ids(db) }.sum { |id| household(id) }

      # @param id [Integer] household
      # @return [Integer] stacks whose last good day changed
      def household(id)
        @services.database.within(id) do |db|
          work = UnitOfWork.new(@services, Caller.new(account_id: 0, household_id: id, role: "keeper"), db)
          added = work.house.foods.take_in(@services.catalog, @services.search_words)
          added += work.house.recipes.take_in(@services.catalog.recipes, work.house.foods.ids_by_key)
          work.house.household.bump if added.positive?
          next 0 if work.household.dated_by == Redate::RULES

          # Writers wait; what changes nothing leaves the household as old as it was.
          work.house.records.lock("household", id)
          changed = RedateStacks.new(work, nil).redate(work.house.lots.all)
          work.house.household.update(dated_by: Redate::RULES)
          changed
        end
      end
    end
  end
end
