# frozen_string_literal: true

require_relative "daily_use"
require_relative "habits"
require_relative "order"
require_relative "../value"

module NutShelf
  module Core
    # What to take from one stack: `amount` in grams; `opens` when a sealed pack must be opened for it; `look` when
    # somebody must look at it first. Frozen.
    Pick = Value.of(:stack, :amount, opens: false, look: false)

    # A draw for one recipe line: picks in grams, what is missing in grams, what the picks are worth. Frozen.
    Draw = Value.of(:food_key, :picks, :missing, :value_minor)

    # What stands there still of a stack, or of a pack opened from it: grams, and the last day it may be eaten. Frozen.
    Left = Value.of(:stack, :amount, :last_on)

    # When something is first short, how much the first who wants it lacks, and how much is short in all; grams. Frozen.
    Short = Value.of(:on, :amount, :total)

    # Draws a shelf down for one question, in the order of the days. The only thing about a shelf that changes: whoever
    # asks makes one, and a copy where two answers start from the same point. Of sealed packs whole ones go first, then
    # one is opened; what remains of it stands in the row again, by the date it has once opened. What a household uses
    # besides, day by day, goes before whatever is asked about a later day.
    class Cursor
      include DailyUse

      # @param shelf [Shelf]
      # @param allow_look [Boolean]
      # @param strict [Boolean]
      # @param habits [Habits] what is used besides
      def initialize(shelf, allow_look:, strict:, habits: Habits::NONE)
        @shelf = shelf
        @allow_look = allow_look
        @strict = strict
        @habits = habits
        @taken = {}.compare_by_identity
        @rows = {}
        @opened = {}
        @reached = {}
        @shorts = {}
        @fronts = {}
        @coming = {}
        @lost = {}
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
        reach(key, on)
        picks = []
        missing = take_from(key, grams, on) { |stack, amount, opens| picks << pick(stack, amount, opens, on) }
        Draw.new(food_key: key, picks: picks.freeze, missing: missing, value_minor: picks.sum { |pick| worth(pick) })
      end

      # What will come: bought, harvested, left over from a meal. It stands in the row from the day it comes.
      # @param stack [Stack] ready on that day
      def bring(stack)
        @coming.delete(stack.food_key)
        file(stack.food_key, stack)
      end

      # Uses what is used besides the draws up to a day, that day not yet.
      # @param key [String] of a food
      # @param on [Date]
      def reach(key, on)
        daily = @habits.daily(key) or return
        from = @reached.fetch(key, @habits.from)
        return unless from < on

        @reached[key] = on
        use(key, daily, from, on)
      end

      # @return [Hash{String=>Short}] what was wanted and not there so far, by food
      attr_reader :shorts

      # @param key [String]
      # @param to [Date]
      # @return [Array<Left>] every stack and rest of it after what is used before that day, front first
      def leaves(key, to)
        reach(key, to)
        there = row(key).map { |stack| Left.new(stack: stack, amount: available(stack), last_on: last_day(stack)) }
        there + @lost.fetch(key, [])
      end

      # @param key [String]
      # @param on [Date]
      # @return [Rational] grams of it that may be used that day
      def left(key, on)
        reach(key, on)
        row(key).sum(0r) { |stack| good?(stack, on) ? available(stack) : 0r }
      end

      # @param key [String]
      # @param on [Date]
      # @return [Rational] grams of it that somebody may use that day who does not go by the date
      def left_for_all(key, on)
        reach(key, on)
        row(key).sum(0r) { |stack| besides?(stack, on) ? available(stack) : 0r }
      end

      # @param key [String]
      # @param on [Date] day of use
      # @param days [Integer]
      # @return [Rational] grams of it that may be used without a look and turn within so many days
      def turning(key, on, days)
        reach(key, on)
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
        @reached = @reached.dup
        @shorts = @shorts.dup
        @fronts = @fronts.dup
        @coming = @coming.dup
        @lost = @lost.transform_values(&:dup)
      end

      # @yield [stack, grams, whether a pack is opened for it]
      # @return [Rational] grams that are not there
      def take_from(key, grams, on)
        wanted = grams
        row = row(key)
        @fronts.fetch(key, 0).upto(row.size - 1) do |index|
          stack = row[index]
          next unless drawable?(stack, on)

          there = available(stack)
          amount = [there, wanted].min
          opens = take(stack, amount, there, on)
          yield(stack, amount, opens) if block_given?
          wanted -= amount
          return wanted unless wanted.positive?
        end
        lack(key, on, wanted) if wanted.positive?
        wanted
      end

      def lack(key, on, amount, days = 1)
        first = @shorts[key] || Short.new(on: on, amount: amount, total: 0r)
        @shorts[key] = first.with(total: first.total + (amount * days))
      end

      # @return [Date, nil] the last day it may be eaten by these rules
      def last_day(stack)
        return last_for_all(stack) unless @strict

        [stack.strict_until, stack.safety_until].compact.min
      end

      # @return [Date, nil] the last day somebody may eat it who does not go by the date
      def last_for_all(stack)
        last = stack.usable_until
        last = [last, stack.look_until].max if last && @allow_look && stack.look_until
        [last, stack.safety_until].compact.min
      end

      # What was opened since somebody last asked is filed only now: most questions never ask again.
      def row(key)
        @opened.delete(key)&.each { |stack, rest, on| file(key, stack.rest_of(rest, on)) }
        @rows[key] || @shelf.of(key, strict: @strict)
      end

      def drawable?(stack, on) = available(stack).positive? && good?(stack, on)

      def good?(stack, on) = stack.eligible?(on, allow_look: @allow_look, strict: @strict)

      def turning?(stack, on, last)
        until_on = stack.until_on(strict: @strict)
        !until_on.nil? && until_on <= last && stack.eligible?(on, strict: @strict)
      end

      def pick(stack, amount, opens, on)
        until_on = stack.until_on(strict: @strict)
        Pick.new(stack: stack, amount: amount, opens: opens, look: !until_on.nil? && until_on < on)
      end

      # @return [Boolean] whether a pack is opened for it
      def take(stack, amount, there, on)
        gone(stack, amount)
        opens = stack.sealed_packs? && (amount % stack.pack).positive?
        keep_rest(stack, amount, there, on) if opens
        opens
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
        turn = [Order.key(rest, strict: @strict), rest.id]
        row = row(key)
        index = row.bsearch_index { |stack| ([Order.key(stack, strict: @strict), stack.id] <=> turn) >= 0 } || row.size
        @rows[key] = row.dup.insert([index, @fronts.fetch(key, 0)].max, rest)
      end
    end
  end
end
