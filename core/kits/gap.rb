# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # One line of a kit: what is needed, what is there, what the best sharing leaves open, and the smallest group of
      # people who are short by it. Exact. Frozen.
      LineGap = Value.of(:line, :need, :have, :gap, short: [].freeze)

      # What the best sharing of food leaves open (docs/kits.md 3): most, over all groups of people, of what they need
      # less what somebody of them eats (the maximum flow's cut). People who eat the same stand or fall together.
      class Gap
        # @param people [Array<Person>]
        # @param stacks [Array<SupplyStack>] that count
        # @param disliked [Boolean] whether what somebody does not like counts as eaten
        def initialize(people, stacks, disliked: false)
          eaters = stacks.to_h { |stack| [stack, people.map { |one| one.eats?(stack.food, disliked: disliked) }] }
          @groups = people.each_index.group_by { |at| eaters.each_value.map { |eats| eats[at] } }.values
            .map { |places| people.values_at(*places) }
          @masks = eaters.transform_values { |eats| mask(eats, people) }
          @people = people
          freeze
        end

        # @param line [String]
        # @param needs [Hash{Person=>Rational}]
        # @yield [SupplyStack] how much of that line it gives
        # @return [LineGap]
        def of(line, needs)
          given = @masks.each_with_object(Hash.new(0r)) { |(stack, mask), sums| sums[mask] += yield(stack) }
          left, worst = sets.map { |set| [left(set, needs, given), set] }.max_by { |open, set| [open, -size(set)] }
          LineGap.new(
            line: line, need: needs.values.sum(0r), have: given.values.sum(0r), gap: left,
            short: left.zero? ? [].freeze : short(worst, needs)
          )
        end

        private

        def mask(eats, people)
          @groups.each_with_index.sum { |group, at| eats[people.index(group.first)] ? 1 << at : 0 }
        end

        # Every group of people, as bits; first nobody at all, who lack nothing.
        def sets = (0...(1 << @groups.size))

        def members(set) = @groups.each_with_index.flat_map { |group, at| set[at] == 1 ? group : [] }

        def size(set) = members(set).size

        def left(set, needs, given)
          members(set).sum(0r) { |one| needs.fetch(one, 0r) } -
            given.sum(0r) { |mask, amount| mask.anybits?(set) ? amount : 0r }
        end

        def short(set, needs) = (@people & members(set)).select { |one| needs.fetch(one, 0r).positive? }.freeze
      end
    end
  end
end
