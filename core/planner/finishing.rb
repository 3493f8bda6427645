# frozen_string_literal: true

require_relative "scan"

module NutShelf
  module Core
    module Planner
      # Changes that make good of opened packs: the scan draws by the gram and does not see them.
      class Finishing
        # @param tables [Tables]
        # @param state [State]
        # @param scan [Scan]
        # @param chance [Random]
        # @param free [Array<Integer>] slots that may change
        def initialize(tables, state, scan, chance, free)
          @tables = tables
          @state = state
          @scan = scan
          @chance = chance
          @free = free
          @using = {}
        end

        # @return [Array(Integer, Integer), nil] a slot, and a dish for it that uses a food of which a pack is open, or
        #   of which a dish made some
        def proposal
          dear = @state.packs.dear
          return if dear.empty?

          number = dear[@chance.rand(dear.size)]
          food = @tables.packs.foods[number]
          near = slots_near(food, @tables.packs.days(number))
          return if near.empty?

          slot = near[@chance.rand(near.size)]
          dishes = @scan.list(slot).dishes & using(food)
          dishes.empty? ? nil : [slot, dishes[@chance.rand(dishes.size)]]
        end

        # Another option for a line with a choice, the rest as it stands.
        # @return [Boolean, nil] nil where there is nothing to choose
        def choose
          slot = @free[@chance.rand(@free.size)]
          slot = @state.from[slot] if @state.kind[slot] == State::LEFTOVERS
          return unless @free.include?(slot) && @state.kind[slot] == State::COOK && @state.choices[slot].any?

          dish = @state.dish[slot]
          fed = @state.feeds[slot]
          entry = @scan.list(slot, fed&.first).then { |list| list.entry(list.place(dish)) }
          return if entry.free.empty?

          _, line, options = entry.free[@chance.rand(entry.free.size)]
          choices = { **@state.choices[slot], line => options[4 * @chance.rand(options.size / 4)] }
          @state.clear(slot)
          @scan.put_chosen(slot, dish, choices, fed)
        end

        private

        def slots_near(food, days)
          cooks = @free.select { |slot| @state.kind[slot] == State::COOK && draws?(slot, food) }
          on = cooks.map { |slot| @tables.problem.slots[slot].day }
          (@free - cooks).select do |slot|
            day = @tables.problem.slots[slot].day
            on.any? { |one| (one - day).abs <= days }
          end
        end

        def draws?(slot, food)
          first = @tables.first[food]
          last = @tables.last[food]
          @state.draws[slot].each_slice(2).any? { |index, _| index.between?(first, last) }
        end

        def using(food)
          @using[food] ||= @tables.dishes.each_index.select do |at|
            @tables.dishes[at].lines.any? do |line|
              line.food == food || line.substitutes.any? { |one| one.food == food }
            end
          end
        end
      end
    end
  end
end
