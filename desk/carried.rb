# frozen_string_literal: true

require_relative "taking"
require_relative "refusal"

module NutShelf
  module Desk
    # Missing here and found there is a move: what a count found is carried over from the stack it was missing from,
    # with its date, its cost and its past. What an earlier count had written off comes back first.
    class Carried
      # What of each stack's lack has been explained, in base units.
      attr_reader :explained

      # @param work [UnitOfWork]
      # @param entry [Entry]
      # @param lots [Hash{Integer=>Store::Rows::Lot}] locked
      def initialize(work, entry, lots)
        @work = work
        @entry = entry
        @lots = lots
        @explained = Hash.new(0r)
        @there = lots.transform_values(&:on_hand)
      end

      # @param lot [Store::Rows::Lot] the stack it came from
      # @param stack [NewStack] what was found, and where
      def from(lot, stack)
        amount = stack.quantity
        refuse_other(lot, stack)
        lot = bring_back(lot, amount)
        @explained[lot.id] += amount
        settle_open_count(lot, amount)
        part = all_of_it?(lot, amount) ? lot : @entry.split(lot, amount)
        @there[lot.id] -= amount
        @entry.happen(part, @work.happening("moved", place_id: stack.place_id), place_id: stack.place_id)
      end

      private

      # A stack that went elsewhere as a whole has nothing left to carry, though it still has all it had.
      def all_of_it?(lot, amount) = amount == @there[lot.id] && amount == lot.on_hand

      def house = @work.house

      def refuse_other(lot, stack)
        return if lot.food_id == stack.food_id && lot.dimension == stack.dimension.to_s

        raise Refusal.of(:carried_other_food, at: "/moves")
      end

      # What an earlier count wrote off comes back first, with its value as it went; the rest is taken from what is
      # there.
      # @return [Store::Rows::Lot] with what came back
      def bring_back(lot, amount)
        lost = house.ledger.lost_of(lot.id)
        back = lost.quantity.clamp(0r, amount)
        raise Refusal.of(:not_enough_to_carry) if @there[lot.id] + back < amount
        return @entry.now(lot) if back.zero?

        @there[lot.id] += back
        value = Core::Money.share(lost.value.to_i, back, lost.quantity)
        @entry.move(lot, back, value, "found", why: "counted")
      end

      # Another count is under way that misses just this: it must not be taken away twice.
      def settle_open_count(lot, amount)
        house.counts.open_lines(lot.id).each do |line|
          next unless line.delta&.negative?

          @entry.alter("count_line", line, { delta: [line.delta + amount, 0r].min })
        end
      end
    end
  end
end
