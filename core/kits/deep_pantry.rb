# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # A floor under a pantry that is eaten from: the day a date must reach to count, what is there by line, and how
      # many packs of each stack are free to the kitchen, each taken alone, with the line that binds (nil where none
      # does). Frozen.
      Floor = Value.of(:must_reach, :have, :free, :binding)

      # The deep pantry (docs/kits.md 5): the same food eaten and replaced all year, never below what the days need.
      class DeepPantry
        # @param days [Integer] the household must last
        # @param margin [Integer] days a date must lie beyond that
        # @param need [Hash{String=>Rational}] by line, for all days
        def initialize(days:, margin:, need:)
          @days = days
          @margin = margin
          @need = need
          freeze
        end

        # @param today [Date]
        # @param stacks [Array<Given>]
        # @return [Floor]
        def call(today, stacks)
          reach = today + @days + @margin
          counted = stacks.select { |one| one.stack.reaches?(reach) }
          have = @need.to_h { |line, _| [line, counted.sum(0r) { |one| one.line(line) }] }
          limits = stacks.to_h { |one| [one.stack, counted.include?(one) ? limit(one, have) : nil] }
          Floor.new(
            must_reach: reach, have: have.freeze,
            free: limits.to_h { |stack, found| [stack, found ? found.last.clamp(0, stack.packs) : stack.packs] }.freeze,
            binding: limits.to_h do |stack, found|
              [stack, found && found.last < stack.packs ? found.first : nil]
            end.freeze
          )
        end

        private

        # @return [Array(String, Integer), nil] the line that binds, and packs that leave it whole
        def limit(given, have)
          @need.filter_map do |line, need|
            one = given.line(line) / given.stack.packs
            [line, ((have.fetch(line) - need) / one).floor] if one.positive?
          end.min_by(&:last)
        end
      end
    end
  end
end
