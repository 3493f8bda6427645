# frozen_string_literal: true

require_relative "entry"

module NutShelf
  module Desk
    # Takes any amount from a stack the way hands do: whole packs as they are; for a part of a sealed pack
    # one pack is opened first and becomes a stack of its own.
    class Taking
      # @param room [Room]
      # @param entry [Entry]
      def initialize(room, entry)
        @room = room
        @entry = entry
      end

      # @param lot [Hash] locked stack
      # @param amount [Rational] base units
      # @param reason [String] of the movement
      # @return [Integer] minor units that went
      def take(lot, amount, reason, why: "")
        whole, part = parts(lot, amount)
        value = whole.zero? ? 0 : @entry.draw(lot, whole, reason, why: why)
        return value if part.zero?

        value + @entry.draw(open_one(lot), part, reason, why: why)
      end

      # Opens one sealed pack.
      # @return [Hash] the opened stack
      def open_one(lot)
        size = lot[:pack_amount]&.to_r || 1r
        size = [size, lot[:on_hand].to_r].min
        event = { "kind" => "opened", "on" => @room.today.iso8601 }
        @entry.split(lot, size, open: true, history: [*lot[:history].to_a, event])
      end

      private

      def parts(lot, amount)
        return [amount, 0r] if lot[:open] || amount >= lot[:on_hand].to_r

        size = lot[:pack_amount]&.to_r || 1r
        whole = (amount / size).floor * size
        [whole, amount - whole]
      end
    end
  end
end
