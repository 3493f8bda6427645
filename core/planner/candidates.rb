# frozen_string_literal: true

require_relative "draws"

module NutShelf
  module Core
    module Planner
      # The dishes that fit a slot (or a slot and a later one that gets its leftovers), cheapest at best first: what
      # each would cost if nothing else were drawn. No dish costs less than that, so a scan stops as soon as the next
      # one cannot win. What a dish draws is laid out when somebody looks at it.
      class Candidates
        attr_reader :dishes, :best

        # @param tables [Tables]
        # @param draws [Draws]
        # @param slot [Integer]
        # @param later [Integer, nil] slot that gets leftovers
        def initialize(tables, draws, slot, later = nil)
          @tables = tables
          @draws = draws
          @place = slot
          @place_later = later
          @slot = tables.problem.slots[slot]
          @later = later && tables.problem.slots[later]
          @servings = @slot.eaters + (@later ? @later.eaters : 0)
          @dishes = []
          @best = []
          sorted.each do |best, dish|
            @best << best
            @dishes << dish
          end
          @entries = Array.new(@dishes.size)
        end

        # @param place [Integer]
        # @return [Draws::Entry]
        def entry(place) = @entries[place] ||= @draws.on(@dishes[place], @servings, @slot.day)

        # @param dish [Integer]
        # @return [Integer] money of the meals themselves, whatever they draw
        def meals(dish)
          @tables.cooking(dish, @slot) + (@later ? @tables.leftovers(dish, @slot, @later) : 0)
        end

        # @return [Integer, nil] where a dish stands in the list
        def place(dish) = @dishes.index(dish)

        private

        # Cost and place in one number while they are sorted: numbers compare faster than pairs.
        def sorted
          size = @tables.dishes.size
          fitting.map { |dish| (least(dish) * size) + dish }.sort!.map! { |both| both.divmod(size) }
        end

        def fitting = @later ? @tables.fits.kept(@place, @place_later) : @tables.fits.cooked(@place)

        def least(dish) = meals(dish) + @tables.least_of(dish, @servings, @slot.day)
      end
    end
  end
end
