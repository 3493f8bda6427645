# frozen_string_literal: true

require_relative "../act"
require_relative "../eating"
require_relative "../refusal"

module NutShelf
  module Desk
    # Says what one meal of one day is like: who eats, how long there is, what kind of evening.
    class SetSlot < Act
      FACTS = %i[evening minutes morning_minutes eaters gear note].freeze

      private

      # @param input [Hash] :on, :meal, and any of :evening, :minutes, :morning_minutes, :eaters ({people:, guests:} or
      #   nil for everybody), :gear, :note; `usual: true` takes back what was said of it
      def perform(input)
        on = Date.iso8601(input[:on])
        raise Refusal.of(:day_passed, at: "/on", day: on) if on < work.today

        said = entry("set_slot", "#{input[:meal].capitalize} on #{on.strftime("%a %-d %b")}: #{words(input)}")
        there = house.meals.slots(on, on).find { |one| one.meal == input[:meal] }
        done(said, slot_id: write(said, there, on, input))
      end

      def write(said, there, on, input)
        facts = facts(input)
        if there.nil?
          return if input[:usual]

          return said.make("slot", { on_date: on, meal: input[:meal], **begin_with(on, input[:meal]), **facts })
        end

        said.alter("slot", house.records.lock("slot", there.id),
          input[:usual] ? { archived_at: Time.now.utc.iso8601 } : facts)
        there.id
      end

      # What is so every such weekday stays so where it is not named.
      def begin_with(on, meal)
        pattern = house.meals.patterns.find { |one| one.weekday == on.wday && one.meal == meal }
        pattern ? pattern.slice(*FACTS) : {}
      end

      def facts(input) = input.slice(*FACTS).then { |facts| Eating.checked(facts, work) }

      def words(input)
        return "as usual" if input[:usual]

        [input[:evening]&.tr("_", " "), input[:minutes] && "#{input[:minutes]} min"].compact.join(", ")
          .then { |words| words.empty? ? "changed" : words }
      end
    end
  end
end
