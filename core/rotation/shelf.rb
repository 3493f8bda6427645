# frozen_string_literal: true

require_relative "cursor"
require_relative "order"
require_relative "stack"

module NutShelf
  module Core
    # Everything a household has, on one day, weighed and in order: what every plan, list and question draws on. Read
    # this file first, then Stack (one stack), Order (which is taken first), OnceOpened (what opening makes of it) and
    # Cursor (drawing it down). Frozen, stacks and all: it may be kept, shared and sent to another process.
    class Shelf
      TAP = "tap-water"
      # What is kept by level counts as there unless it is out; low is there, and on the list.
      THERE = %w[plenty half low].freeze
      LEVELS = [*THERE, "out"].freeze

      attr_reader :today, :foods, :food_ids, :stacks

      # @param stacks [Array<Stack>]
      # @param foods [Hash{String=>Food}] by the key recipes use
      # @param food_ids [Hash{String=>Integer}] the household's id of each food
      # @param today [Date]
      # @param before [Shelf, nil] of the same day, by the same rules: of which nothing changed stands as it stood
      def initialize(stacks, foods:, today:, food_ids: {}, before: nil)
        @today = today
        @foods = foods
        @food_ids = food_ids
        @stacks = stacks.to_h { |stack| [stack.id, stack] }.freeze
        @weighed = stacks.select(&:weighed?).group_by(&:food_key).freeze
        @usual = @weighed.to_h { |key, list| [key, before&.stood(key, list) || Order.sort(list).freeze] }.freeze
        @strict = @usual.to_h { |key, list| [key, before&.stood_strictly(key, list) || strictly(list)] }.freeze
        @levels = levels(stacks)
        @free = free
        freeze
      end

      # The same house after some stacks changed.
      # @param changed [Array<Stack>] as they are now, new ones among them
      # @param gone [Array<Integer>] ids of those that are not there any more
      # @return [Shelf] as if it had been made from all of them
      def after(changed, gone)
        kept = stacks.except(*gone, *changed.map(&:id)).values
        Shelf.new(Order.by_day([*kept, *changed]), foods: foods, food_ids: food_ids, today: today, before: self)
      end

      # @param id [Integer]
      # @return [Stack]
      # @raise [KeyError] when nothing of it is there
      def stack(id) = @stacks.fetch(id)

      # @param key [String] of a food
      # @param strict [Boolean] by the dates of those who go by the date
      # @return [Array<Stack>] what can be drawn by weight, front first
      def of(key, strict: false) = (strict ? @strict : @usual).fetch(key, NOTHING)

      # @param place_id [Integer]
      # @return [Array<Stack>] what stands there, by kind and name of food, first date first
      def in_place(place_id)
        stacks
          .each_value
          .select { |stack| stack.place_id == place_id }
          .sort_by { |stack| Order.in_hand(stack, foods[stack.food_key]) }
      end

      # @return [Array<String>] keys of the foods that can be drawn by weight
      def keys = @usual.keys

      # @param key [String]
      # @return [Boolean] whether it is there without counting: tap water, or kept by level and not out
      def free?(key) = @free.include?(key)

      # What is kept by level and is running out, where no other stack of it has more.
      # @return [Hash{String=>String}] food key to "low" or "out"
      def running_out = @levels.select { |_, level| %w[low out].include?(level) }

      # @param allow_look [Boolean] whether tins past their best-before may be planned, with a look
      # @param strict [Boolean] whether somebody goes by the date
      # @param habits [Habits] what is used besides what is drawn
      # @return [Cursor] to draw it down with, for one question
      def cursor(allow_look: true, strict: false, habits: Habits::NONE)
        Cursor.new(self, allow_look: allow_look, strict: strict, habits: habits)
      end

      NOTHING = [].freeze
      private_constant :NOTHING

      protected

      # @return [Array<Stack>, nil] a food's stacks in order, where they are still the very same
      def stood(key, list) = same?(@weighed[key], list) ? @usual[key] : nil

      # @param list [Array<Stack>] in the usual order
      # @return [Array<Stack>, nil] the same for those who go by the date
      def stood_strictly(key, list) = @usual[key].equal?(list) ? @strict[key] : nil

      private

      def same?(before, now)
        before&.size == now.size && before.each_with_index.all? { |stack, index| stack.equal?(now[index]) }
      end

      def strictly(list)
        list.all? { |stack| stack.strict_until == stack.usable_until } ? list : Order.sort(list, strict: true).freeze
      end

      def levels(stacks)
        kept = stacks.select(&:level).group_by(&:food_key)
        kept.transform_values { |list| list.map { |stack| good(stack) }.min_by { |level| LEVELS.index(level) } }.freeze
      end

      # What nobody should eat is not there, whatever its level.
      def good(stack)
        stack.quarantined || stack.stopped || stack.past_safety?(today) || stack.age_unknown ? "out" : stack.level
      end

      def free = [TAP, *@levels.select { |_, level| THERE.include?(level) }.keys].freeze
    end
  end
end
