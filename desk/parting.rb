# frozen_string_literal: true

require_relative "taking"
require_relative "refusal"

module NutShelf
  module Desk
    # Parts an amount from a stack the way hands do: all of it, whole packs as they are, or a part of a sealed pack,
    # which is opened for it; what stays of that pack is an opened stack too.
    class Parting
      # @param work [UnitOfWork]
      # @param entry [Entry]
      def initialize(work, entry)
        @work = work
        @entry = entry
      end

      # @param lot [Store::Rows::Lot] locked
      # @param text [String, nil] what the person said, in base units; nil: all of it, or `usual`
      # @param usual [Rational] what is meant when nothing is said
      # @return [Rational]
      # @raise [Conflict] when there is not that much
      def self.amount(work, lot, text, usual: lot.on_hand)
        amount = work.still_there(lot, text ? text.to_r : usual)
        return amount if amount.positive? && amount <= lot.on_hand

        raise Refusal.of(:only_left, left: work.part_words(lot, lot.on_hand))
      end

      # @param lot [Store::Rows::Lot] locked
      # @param amount [Rational] base units, not more than there is
      # @return [Store::Rows::Lot] a stack of just that amount
      def part(lot, amount)
        lot = @entry.now(lot)
        return lot if amount == lot.on_hand
        return @entry.split(lot, amount) unless breaks_pack?(lot, amount)

        opened = Taking.new(@work, @entry).open_one(lot)
        amount == opened.on_hand ? opened : @entry.split(opened, amount)
      end

      private

      # Loose food has no pack to break, and more than one pack's part would need several opened at once.
      def breaks_pack?(lot, amount)
        !lot.open && !lot.pack_amount.nil? && lot.dimension != "count" && amount < lot.pack_amount
      end
    end
  end
end
