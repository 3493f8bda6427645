# frozen_string_literal: true

require_relative "../act"
require_relative "../preserving/bottled"
require_relative "../preserving/dried"
require_relative "../preserving/frozen"
require_relative "../refusal"

module NutShelf
  module Desk
    # A batch is done: it becomes stacks that carry all it cost, dated by how it was kept. Nothing comes of what did not
    # pass its test, of meat nobody heated through more than a stack that is held, and no jar without a tested recipe.
    class FinishBatch < Act
      MAKERS = {
        "drying" => Preserving::Dried, "freezing" => Preserving::Frozen, "bottling" => Preserving::Bottled
      }.freeze
      # Days something may lie between beginning and end besides the hours it took, at six hours a day.
      LIES = 2
      A_DAY = 6

      private

      # @param input [Hash] :batch_id, :version, :place_id, :more_hours, :out_g as weighed, :passed whether it passed
      #   its test, :pieces, :jars as [{ ml:, sealed:, unsealed: }], :label
      def perform(input)
        batch = house.records.lock("batch", input[:batch_id])
        raise Refusal.of(:batch_finished) unless batch.status == "going" && batch.archived_at.nil?

        refuse_stale(batch, input[:version], { version: batch.version })
        hours = batch.hours + input[:more_hours].to_r
        pool = house.lots.lock_one(batch.lot_id)
        refuse_unfit(batch, pool, hours)
        maker = MAKERS.fetch(batch.process).new(work, batch, input)
        finished = entry("finish_batch", "Finished #{batch.process}: #{maker.words}")
        release(finished, batch)
        lots = maker.call(finished, pool)
        finished.alter("batch", batch, { status: "finished", finished_on: work.on, hours: hours, **maker.facts })
        done(finished, batch_id: batch.id, lot_id: lots.first.id, lot_ids: lots.map(&:id))
      end

      # Some of it was eaten or thrown out meanwhile, set apart as not to eat, or it lay too long.
      def refuse_unfit(batch, pool, hours)
        raise Refusal.of(:batch_not_whole) unless pool.on_hand == batch.in_g
        raise Refusal.of(:not_to_keep) if pool.quarantined || pool.stopped
        return if (work.on - batch.begun_on).to_i <= LIES + (hours / A_DAY).ceil

        raise Refusal.of(:batch_lay_too_long, day: batch.begun_on)
      end

      def release(finished, batch)
        held = batch.reservation_id && house.records.lock("reservation", batch.reservation_id)
        finished.alter("reservation", held, { archived_at: Time.now.utc.iso8601 }) if held && held.archived_at.nil?
      end
    end
  end
end
