# frozen_string_literal: true

require_relative "../core/counting/difference"
require_relative "../core/counting/match"
require_relative "new_stack"
require_relative "usage_rates"
require_relative "../core/value"

module NutShelf
  module Desk
    # A count as it stands: what was expected, what was found, what differs and what that most likely means.
    class Counting
      LOOK_BACK = 45

      # A line that differs. `line` and `lot` as stored (lot nil when it was not expected), `difference` in core's
      # words, `candidates` stacks it may have been carried from. Frozen.
      Differing = Core::Value.of(:line, :lot, :difference, :stack, :candidates)

      # @param work [UnitOfWork]
      # @param count [Store::Rows::Count]
      def initialize(work, count)
        @work = work
        @count = count
      end

      # @return [Array<Integer>] the place and those within it, in walking order
      def place_ids = @place_ids ||= @work.house.places.within(@count.place_id)

      # @return [Array<Store::Rows::PersonsLine>] what was entered and stands
      def lines = @lines ||= @work.house.counts.lines(@count.id)

      # @return [Array<Core::Stack>] nested places in order
      def expected = @expected ||= @work.stacks_in(place_ids)

      # @return [Array<Store::Rows::PersonsLine>] lines that say another amount than was there
      def changing = lines.select { |line| line.lot_id && line.delta&.nonzero? }

      # @return [Array<Store::Rows::PersonsLine>] lines about what nobody expected
      def besides = lines.select { |line| line.found == "new" }

      # @return [Hash{Integer=>Date}] when each stack of a line was last in anybody's hand
      def seen = @seen ||= @work.house.usage.seen_on(lines.filter_map(&:lot_id))

      # @param lots [Hash{Integer=>Hash}] stacks of the changing lines
      # @param candidates [Boolean] whether to look where unexpected things may have come from
      # @return [Array<Differing>]
      def differing(lots = changing_lots, candidates: true)
        @work.know_foods(lots.values.map(&:food_id))
        @usage = UsageRates.new(@work, food_ids: lots.values.map(&:food_id).uniq)
        changing.filter_map { |line| changed(line, lots.fetch(line.lot_id)) } +
          besides.map { |line| unexpected(line, candidates) }
      end

      # @return [Hash{Integer=>Hash}] the stacks of the changing lines
      def changing_lots = @work.house.lots.every(changing.map(&:lot_id)).to_h { |lot| [lot.id, lot] }

      # What a line changes now: takes since it was entered count, and nothing goes below zero.
      def delta(line, lot) = [line.delta, -lot.on_hand].max

      # @return [NewStack] what somebody found without its being expected
      def stack(line) = NewStack.new(@work, line.draft.to_h.transform_keys(&:to_sym), acquired: false)

      private

      def changed(line, lot)
        delta = delta(line, lot)
        return if delta.zero?

        daily = @usage.rate(lot.food_id, lot.noun ? "pack" : lot.dimension).daily
        difference =
          Core::Difference.new(
            delta: delta,
            on_hand: lot.on_hand,
            stack_value_minor: lot.value_minor,
            daily: daily,
            unseen_days: seen[lot.id] ? (@work.today - seen[lot.id]).to_i : 0,
            stopped: not_to_eat?(lot),
            ask_from_minor: @work.household.settings.fetch("ask_from_minor", Core::Difference::ASK_FROM_MINOR)
          )
        Differing.new(line: line, lot: lot, difference: difference, candidates: [])
      end

      def not_to_eat?(lot) = lot.stopped || (lot.safety_until && lot.safety_until < @work.today) == true

      def unexpected(line, candidates)
        stack = stack(line)
        return Differing.new(line: line, stack: stack, candidates: []) unless candidates

        found =
          Core::Match::Found.new(
            food_id: stack.food_id,
            dimension: stack.dimension.to_s,
            pack_amount: stack.pack,
            noun: stack.noun,
            printed_on: stack.printed_on,
            amount: stack.quantity
          )
        Differing.new(
          line: line,
          stack: stack,
          candidates: Core::Match.for(found, candidates(found.food_id)).first(3)
        )
      end

      # Stacks of the same food that stand elsewhere, or were missing somewhere lately.
      def candidates(food_id)
        @work
          .house
          .lots
          .of_food(food_id, missing.keys)
          .reject { |lot| place_ids.include?(lot.place_id) && !missing.key?(lot.id) }
          .map do |lot|
            Core::Match::Candidate.new(
              id: lot.id,
              food_id: lot.food_id,
              dimension: lot.dimension,
              pack_amount: lot.pack_amount,
              noun: lot.noun,
              printed_on: lot.printed_on,
              missing: missing.fetch(lot.id, 0).to_r,
              on_hand: lot.on_hand
            )
          end
      end

      # What open counts miss, and what finished ones wrote off lately.
      def missing
        @missing ||=
          @work
            .house
            .counts
            .missing_in_open
            .merge(@work.house.counts.lost_since(@work.today - LOOK_BACK)) { |_, one, other| one + other }
      end
    end
  end
end
