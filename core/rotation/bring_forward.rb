# frozen_string_literal: true

require_relative "cursor"

module NutShelf
  module Core
    # What to bring from backstock to the working shelf: for each food a working amount, and the oldest stacks that
    # fill it up. Amounts in one unit of that food (grams as a rule). Frozen.
    class BringForward
      # Days between two walks to a place, by how far it is.
      REACH_DAYS = { "hand" => 7, "steps" => 10, "away" => 21 }.freeze

      # @param daily [Rational] usual use a day
      # @param reach [String] of the nearest backstock place, a key of REACH_DAYS
      # @return [Rational] proposed working amount: what is eaten between two walks. Not in whole packs: what is there
      #   already is taken off first, and only what is carried comes in packs.
      def self.working_amount(daily:, reach:) = daily * REACH_DAYS.fetch(reach)

      # @param words [#call] an amount as hands say it
      # @return [Array<String>] how working_amount came about
      def self.reasons(daily:, reach:, words:)
        [
          "About #{words.call(daily * 7)} a week is used; between two walks to the backstock lie " \
          "#{REACH_DAYS.fetch(reach)} days: " \
          "#{words.call(working_amount(daily: daily, reach: reach))}. What is carried comes in whole packs."
        ]
      end

      attr_reader :there, :need, :picks, :short

      # @param working [Array<Stack>] what is usable on the working shelf
      # @param backstock [Array<Stack>]
      # @param amount [Rational] the working amount
      # @param on [Date]
      def initialize(working:, backstock:, amount:, on:)
        @there = working.select { |stack| stack.eligible?(on) }.sum(0r, &:amount)
        @need = [amount - there, 0r].max
        @picks = (@need.positive? ? whole_packs(backstock, on) : []).freeze
        @short = [@need - picks.sum(0r, &:amount), 0r].max
        freeze
      end

      private

      # Sealed packs are carried whole, so a walk brings a little more rather than a part.
      def whole_packs(backstock, on)
        left = @need
        Order.sort(backstock.select { |stack| stack.eligible?(on) }).filter_map do |stack|
          next unless left.positive?

          amount = carried(stack, left)
          left -= amount
          Pick.new(stack: stack, amount: amount)
        end
      end

      def carried(stack, left)
        return stack.amount if stack.open || stack.pack.nil? || !stack.pack.positive?

        [(left / stack.pack).ceil * stack.pack, stack.amount].min
      end
    end
  end
end
