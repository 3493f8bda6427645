# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../refusal"

module NutShelf
  module Desk
    # This care is not wanted any more.
    class DropCare < Act
      private

      # @param input [Hash] :care_id
      def perform(input)
        rule = house.records.lock("care", input[:care_id])
        raise Refusal.of(:gone_already) if rule.archived_at

        dropped = entry("drop_care", "No more: #{rule.title}")
        dropped.alter("care", rule, { archived_at: Time.now.utc.iso8601 })
        RedateStacks.new(work, dropped).care_of(rule.lot_id) if rule.lot_id && rule.holds_days
        done(dropped, care_id: rule.id)
      end
    end
  end
end
