# frozen_string_literal: true

require_relative "order"
require_relative "../value"

module NutShelf
  module Core
    # What to take from one stack: `amount` in grams; `opens` when a sealed pack must be opened for it; `look` when
    # somebody must look at it first. Frozen.
    Pick = Value.of(:stack, :amount, opens: false, look: false)

    # A draw for one recipe line: picks in grams, what is missing in grams, what the picks are worth. Frozen.
    Draw = Value.of(:food_key, :picks, :missing, :value_minor)

    # Draws a shelf down for one question, in the order of the days. The only thing about a shelf that changes: whoever
    # asks makes one, and a copy where two answers start from the same point. Of sealed packs whole ones go first, then
    # one is opened; what remains of it stands in the row again, by the date it has once opened.
    class Cursor
      # @param shelf [Shelf]
      # @param allow_look [Boolean]
      # @param strict [Boolean]
      def initialize(shelf, allow_look:, strict:)
        @shelf = shelf
        @allow_look = allow_look
        @strict = strict
        @taken = {}.compare_by_identity
        @rows = {}
        @opened = {}
      end

      # @return [Hash{String=>Food}] by key
      def foods = @shelf.foods

      # @param key [String]
      # @return [Boolean] see Shelf#free?
      def free?(key) = @shelf.free?(key)

      # Water from the tap is always there: it says nothing about how much of a dish is.
      def tap?(key) = key == Shelf::TAP

      # Takes an amount for a day, front of the shelf first.
      # @param key [String] of a food
      # @param grams [Rational] as it comes from the pack
      # @param on [Date]
      # @return [Draw]
      def draw(key, grams, on)
        wanted = grams
        picks = []
        row(key).each do |stack|
          break unless wanted.positive?
          next unless (there = available(stack)).positive? && good?(stack, on)

          picks << take(stack, [there, wanted].min, there, on)
          wanted -= picks.last.amount
        end
        Draw.new(food_key: key, picks: picks.freeze, missing: wanted, value_minor: picks.sum { |pick| worth(pick) })
      end

      # @param key [String]
      # @param on [Date]
      # @return [Rational] grams of it that may be used that day
      def left(key, on)
        row(key).sum(0r) { |stack| good?(stack, on) ? available(stack) : 0r }
      end

      # @param key [String]
      # @param on [Date] day of use
      # @param days [Integer]
      # @return [Rational] grams of it that may be used without a look and turn within so many days
      def turning(key, on, days)
        row(key).sum(0r) { |stack| turning?(stack, on, on + days) ? available(stack) : 0r }
      end

      # @param stack [Stack]
      # @return [Rational] grams nobody has drawn yet
      def available(stack) = (taken = @taken[stack]) ? stack.amount - taken : stack.amount

      # @param pick [Pick]
      # @return [Integer] minor units
      def worth(pick) = (pick.stack.minor_per_gram * pick.amount).round

      private

      def initialize_copy(other)
        super
        @taken = @taken.dup
        @rows = @rows.dup
        @opened = @opened.transform_values(&:dup)
      end

      # What was opened since somebody last asked is filed only now: most questions never ask again.
      def row(key)
        @opened.delete(key)&.each { |stack, rest, on| file(key, stack.rest_of(rest, on)) }
        @rows[key] || @shelf.of(key, strict: @strict)
      end

      def good?(stack, on) = stack.eligible?(on, allow_look: @allow_look, strict: @strict)

      def turning?(stack, on, last)
        until_on = stack.until_on(strict: @strict)
        !until_on.nil? && until_on <= last && stack.eligible?(on, strict: @strict)
      end

      def take(stack, amount, there, on)
        gone(stack, amount)
        opens = stack.sealed_packs? && (amount / stack.pack).denominator != 1
        keep_rest(stack, amount, there, on) if opens
        until_on = stack.until_on(strict: @strict)
        Pick.new(stack: stack, amount: amount, opens: opens, look: !until_on.nil? && until_on < on)
      end

      def gone(stack, amount) = @taken[stack] = @taken.fetch(stack, 0r) + amount

      # The opened pack leaves its row and is filed anew.
      def keep_rest(stack, amount, there, on)
        whole = (amount / stack.pack).floor * stack.pack
        rest = [stack.pack, there - whole].min - (amount - whole)
        return unless rest.positive?

        gone(stack, rest)
        (@opened[stack.food_key] ||= []) << [stack, rest, on].freeze
      end

      def file(key, rest)
        turn = Order.key(rest, strict: @strict)
        row = row(key)
        index = row.bsearch_index { |stack| Order.key(stack, strict: @strict) >= turn } || row.size
        @rows[key] = row.dup.insert(index, rest)
      end
    end
  end
end
