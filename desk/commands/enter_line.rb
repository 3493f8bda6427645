# frozen_string_literal: true

require_relative "../command"
require_relative "../counting"
require_relative "../refusal"

module NutShelf
  module Desk
    # Somebody counting says what is there: of a stack that was expected, or something that was not. The difference is
    # taken against what is on hand at this moment, so whatever is taken later stays taken.
    class EnterLine < Command
      private

      # @param input [Hash] :count_id, then :lot_id with :found ("as_expected", "gone", "amount", "level") and :packs,
      #   :quarters, :amount or :level; or :draft as PutAway has it
      def perform(input)
        count = open_count(input[:count_id])
        @counting = Counting.new(work, count)
        id = input[:draft] ? unexpected(count, input[:draft]) : expected(count, input)
        { count_id: count.id, line_id: id }
      end

      def open_count(id)
        count = house.counts.hold(id)
        return count if count.status == "open"

        raise Refusal.of(count.status == "finished" ? :count_finished : :count_thrown_away)
      end

      def unexpected(count, draft)
        stack = NewStack.new(work, draft, acquired: false)
        unless @counting.place_ids.include?(draft[:place_id])
          raise Refusal.of(:place_outside_count, at: "/draft/place_id")
        end

        house.counts.enter(
          count_id: count.id,
          account_id: work.caller.account_id,
          draft: draft.transform_keys(&:to_s),
          found: "new",
          amount: stack.quantity
        )
      end

      def expected(count, input)
        lot = house.lots.one(input[:lot_id])
        raise Refusal.of(:stack_not_here, at: "/lot_id") unless @counting.place_ids.include?(lot.place_id)

        found = found(lot, input)
        house.counts.enter(count_id: count.id, account_id: work.caller.account_id, lot_id: lot.id, **found)
      end

      def found(lot, input)
        case input[:found]
        when "as_expected"
          { found: "as_expected", amount: lot.on_hand, delta: 0 }
        when "gone"
          { found: "gone", amount: 0, delta: -lot.on_hand }
        when "level"
          {
            found: "level",
            level: input[:level] || raise(Refusal.of(:level_missing, at: "/level"))
          }
        else
          amount = amount(lot, input)
          { found: "amount", amount: amount, delta: amount - lot.on_hand }
        end
      end

      # Whole packs, quarters of an open one, or what a scale or a person says.
      def amount(lot, input)
        size = lot.pack_amount || 1r
        amount =
          if input[:packs]
            input[:packs].to_r * size
          elsif input[:quarters]
            Rational(input[:quarters], 4) * (lot.pack_amount || (lot.noun ? 1r : lot.on_hand))
          else
            input[:amount]&.to_r
          end
        raise Refusal.of(:amount_missing, at: "/amount") if amount.nil?
        raise Refusal.of(:amount_out_of_range, at: "/amount") unless amount.between?(0, NewStack::MAX)

        amount
      end
    end
  end
end
