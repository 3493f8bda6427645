# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # What was set apart is everybody's again.
    class Release < Act
      private

      # @param input [Hash] :reservation_id
      def perform(input)
        held = house.records.lock("reservation", input[:reservation_id])
        raise Refusal.of(:released_already) if held.archived_at

        lot = house.lots.one(held.lot_id)
        released = entry("release",
          "Released #{work.part_words(lot, held.amount)} #{name(lot)}, kept for #{held.holder}")
        released.alter("reservation", held, { archived_at: Time.now.utc.iso8601 })
        released.tell(lot, "released", held.slice(:amount, :holder))
        done(released, lot_id: lot.id)
      end

      def name(lot) = lot.name(work.food(lot.food_id))
    end
  end
end
