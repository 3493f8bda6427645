# frozen_string_literal: true

require "date"
require_relative "../../core/dating/words"

module NutShelf
  module Desk
    module Trips
      # What stands against a meal, as a cook says it.
      class FaultWords
        GEAR = {
          "hob" => "a hob", "oven" => "an oven", "one-burner" => "a burner", "kettle" => "a kettle",
          "microwave" => "a microwave", "freezer" => "a freezer", "slow-cooker" => "a slow cooker"
        }.freeze

        # @param foods [Hash{String=>Core::Food}]
        def initialize(foods)
          @foods = foods
        end

        # @param fault [Core::Trips::Fault]
        # @return [String] "needs the cold: Ham, sliced"
        def call(fault)
          words = fault.words
          case fault.kind
          when :cold then "needs the cold: #{names(words)}"
          when :date then "good until #{Core::Words.day(Date.iso8601(words))} only"
          when :gear then "needs #{words.split(", ").map { |one| GEAR.fetch(one, one) }.join(" and ")}"
          when :pots then "takes #{words} pots"
          when :goes then "takes the pot #{words} times"
          when :minutes then "takes #{words.sub(" of ", " minutes, there are ")}"
          when :tins then "comes in tins: #{names(words)}"
          when :glass then "comes in glass: #{names(words)}"
          when :allergen then "holds #{words}"
          else "too old to eat as a leftover"
          end
        end

        private

        def names(keys) = keys.split(", ").map { |key| @foods[key]&.name || key }.join("; ")
      end
    end
  end
end
