# frozen_string_literal: true

require_relative "../core/dating/breaking"
require_relative "entry"

module NutShelf
  module Desk
    # Takes any amount from a stack the way hands do: whole packs as they are; for a part of a sealed pack
    # one pack is opened first and becomes a stack of its own. Of a piece of fresh produce, what stays is cut.
    class Taking
      # @param work [UnitOfWork]
      # @param entry [Entry]
      def initialize(work, entry)
        @work = work
        @entry = entry
      end

      # @param lot [Store::Rows::Lot] locked
      # @param amount [Rational] base units
      # @param reason [String] of the movement
      # @return [Integer] minor units that went
      def take(lot, amount, reason, why: "")
        whole, part = parts(@entry.now(lot), amount)
        value = whole.zero? ? 0 : @entry.draw(lot, whole, reason, why: why)
        return value if part.zero?

        value + @entry.draw(open_one(lot), part, reason, why: why)
      end

      # Opens one sealed pack, or cuts one piece.
      # @return [Store::Rows::Lot] the opened stack
      def open_one(lot)
        lot = @entry.now(lot)
        place_id = where_opened(lot)
        @entry.split(
          lot,
          lot.one_pack,
          open: true,
          place_id: place_id,
          container_id: lot.container_id,
          history: [*lot.history, *carried(lot, place_id), *broken(lot)]
        )
      end

      # An opened pack goes where it belongs: most tins and jars into the fridge, if the household has one.
      # @return [Integer] place id
      def where_opened(lot) = @work.openings.place(food(lot), kind(lot), @work.place(lot.place_id)).id

      private

      def kind(lot) = Core::Breaking.kind(food(lot), dimension: lot.dimension.to_sym, pack: lot.pack_amount)

      def food(lot) = @work.food(lot.food_id)

      def carried(lot, place_id)
        place_id == lot.place_id ? [] : [@work.happening("moved", place_id: place_id)]
      end

      def broken(lot) = [*kind(lot)].map { |kind| @work.happening(kind.to_s) }

      def parts(lot, amount)
        return amount, 0r if lot.open || amount >= lot.on_hand

        size = lot.pack_amount || 1r
        whole = (amount / size).floor * size
        [whole, amount - whole]
      end
    end
  end
end
