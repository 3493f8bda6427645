# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/keeping"
require_relative "../new_stack"
require_relative "../refusal"

module NutShelf
  module Desk
    # Puts away what was bought: stacks for the lines that were ticked, several at once, a line in parts where some of
    # it goes elsewhere. The price goes into the price book with the shop it was paid in.
    class PutAwayBought < Act
      private

      # @param input [Hash] :stacks [{ref:, and what PutAway takes}], :without [refs of lines that are nothing for the
      #   shelf]
      def perform(input)
        stacks = input[:stacks] || []
        refs = [*stacks.map { |one| one[:ref] }, *input[:without]].uniq
        raise Refusal.of(:nothing_put_away, at: "/stacks") if refs.empty?

        lines = refs.sort.to_h { |ref| [ref, bought(ref)] }
        drafts = stacks.map { |one| [NewStack.new(work, { **one.except(:ref), shop_id: shop(lines[one[:ref]]) }), one] }
        put = entry("put_away_bought", summary(drafts.map(&:first), refs))
        ids = drafts.map { |stack, one| stack.write(put).tap { |lot| keep_for_kit(put, lot, lines[one[:ref]]) }.id }
        lines.each_value { |line| put.alter("list_line", line, { status: "away" }) }
        done(put, lot_ids: ids)
      end

      def bought(ref)
        line = house.shopping.line(ref)
        return line if line.status == "ticked"

        raise Refusal.of(line.status == "away" ? :put_away_already : :not_in_the_basket, food: line.text)
      end

      # What was bought for a kit is nobody's to cook with; in one of its boxes it is that anyway.
      def keep_for_kit(put, lot, line)
        kit_id = line.reasons.find { |one| one["kind"] == "kit" }&.fetch("kit_id", nil)
        kit = kit_id && house.kits.all.find { |one| one.id == kit_id } or return
        return if work.place(lot.place_id).set_apart?

        Kits::Keeping.keep(put, kit, lot, lot.on_hand) unless lot.stopped
      end

      def shop(line) = line.shopping_id && house.shopping.shopping(line.shopping_id).shop_id

      def summary(stacks, refs)
        return "Put away #{stacks.first.words}" if stacks.size == 1

        stacks.empty? ? "Cleared #{refs.size} from the basket" : "Put away #{stacks.size} things that were bought"
      end
    end
  end
end
