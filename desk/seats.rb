# frozen_string_literal: true

require_relative "occasions"

module NutShelf
  module Desk
    # Who sits at an occasion's meal on its day, within an act: the day knows of every guest the occasion knows of.
    class Seats
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param act [Entry]
      # @param occasion [Store::Rows::Occasion]
      # @param on [Date]
      # @param facts [Hash] more of the slot
      def put(act, occasion, on, **facts)
        facts = { eaters: occasion.eaters, note: occasion.name, **facts }
        there = house.meals.slots(on, on).find { |one| one.meal == occasion.meal }
        return act.alter("slot", house.records.lock("slot", there.id), facts) if there

        act.make("slot", { on_date: on, meal: occasion.meal, evening: "home", **facts })
      end

      # Where it is on the plan already, whoever is new sits there too, so that its dishes are held against them.
      # @param act [Entry]
      # @param before [Store::Rows::Occasion]
      # @param after [Store::Rows::Occasion]
      def follow(act, before, after)
        return if before.eaters == after.eaters

        occasions = Occasions.new(@work)
        days = house.occasions.times(before.id).map(&:on_date).select { |day| day >= @work.today }
        days.select { |day| occasions.planned?(before, day) }
          .each { |day| put(act, before.with(eaters: after.eaters), day) }
      end

      private

      def house = @work.house
    end
  end
end
