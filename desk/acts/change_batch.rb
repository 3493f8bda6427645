# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Notes how a batch goes: steps that were done, hours more, trays and temperature.
    class ChangeBatch < Act
      private

      # @param input [Hash] :batch_id, :version as it was seen, :ticked numbers of all steps that are done, :more_hours,
      #   :trays, :temp_c, :heated_c, :source, :note
      def perform(input)
        batch = house.records.lock("batch", input[:batch_id])
        raise Refusal.of(:batch_finished) unless batch.status == "going" && batch.archived_at.nil?

        refuse_stale(batch, input[:version], { version: batch.version })
        changed = entry("change_batch", "Noted how it goes: #{work.food(batch.food_id).name}, #{batch.process}")
        changed.alter("batch", batch, changes(batch, input))
        done(changed, batch_id: batch.id)
      end

      def changes(batch, input)
        hours = input[:more_hours] ? { hours: batch.hours + input[:more_hours].to_r } : {}
        ticked = input[:ticked] ? { ticked: input[:ticked].uniq.sort } : {}
        { **hours, **ticked, **input.slice(:trays, :temp_c, :heated_c, :source, :note) }
      end
    end
  end
end
