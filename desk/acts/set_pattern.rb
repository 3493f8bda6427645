# frozen_string_literal: true

require_relative "../act"
require_relative "../eating"
require_relative "../refusal"

module NutShelf
  module Desk
    # Says what a meal is like on every such weekday: "Wed football: 20 minutes, in shifts". What was said of a single
    # day stays.
    class SetPattern < Act
      FACTS = %i[name evening minutes morning_minutes eaters gear note].freeze

      private

      # @param input [Hash] :weekday (0 for Sunday), :meal, :name, and any of FACTS
      def perform(input)
        facts = Eating.checked(input.slice(*FACTS), work)
        said = entry("set_pattern", "#{Date::DAYNAMES[input[:weekday]]} #{input[:meal]}: #{input[:name]}")
        there = house.meals.patterns.find { |one| one.weekday == input[:weekday] && one.meal == input[:meal] }
        return done(said, pattern_id: said.make("pattern", { **input.slice(:weekday, :meal), **facts })) unless there

        said.alter("pattern", house.records.lock("pattern", there.id), facts)
        done(said, pattern_id: there.id)
      end
    end
  end
end
