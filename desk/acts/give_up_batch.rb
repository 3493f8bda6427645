# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Gives a batch up: what was weighed in is free again, as it stands, and no figure is learnt from it.
    class GiveUpBatch < Act
      private

      # @param input [Hash] :batch_id
      def perform(input)
        batch = house.records.lock("batch", input[:batch_id])
        raise Refusal.of(:batch_finished) unless batch.status == "going" && batch.archived_at.nil?

        given_up = entry("give_up_batch", "Gave up #{batch.process} #{work.food(batch.food_id).name}")
        held = batch.reservation_id && house.records.lock("reservation", batch.reservation_id)
        now = Time.now.utc.iso8601
        given_up.alter("reservation", held, { archived_at: now }) if held && held.archived_at.nil?
        given_up.alter("batch", batch, { archived_at: now })
        done(given_up, lot_id: batch.lot_id)
      end
    end
  end
end
