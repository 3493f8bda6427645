# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      module Endurance
        # Water in containers, by the last day each is good: what is there to drink and what is left to cook with.
        class WaterStore
          # @param containers [Array<Array(Integer, Rational)>] last day and litres
          # @param running [Boolean] whether water comes from the tap
          def initialize(containers, running: false)
            @containers = containers
            @running = running
            freeze
          end

          # @param day [Integer]
          # @return [Rational] litres that are good on that day
          def good_on(day) = @containers.sum(0r) { |last, litres| last >= day ? litres : 0r }

          # @param day [Integer]
          # @param drunk [Rational] litres until then
          # @return [Rational, nil] litres left to cook with, nil where water runs; below 0 where it is not enough
          def left(day, drunk) = @running ? nil : good_on([day, 1].max) - drunk

          # @param per_day [Rational] litres to drink
          # @param most [Integer] days to look at
          # @return [Integer, nil] days there is enough to drink, nil where water runs
          def days(per_day, most)
            return if @running

            (0..most).take_while { |day| good_on([day, 1].max) >= day * per_day }.last
          end
        end
      end
    end
  end
end
