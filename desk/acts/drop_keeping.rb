# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../refusal"

module NutShelf
  module Desk
    # Back to the guide's figure.
    class DropKeeping < Act
      keeper_only

      private

      # @param input [Hash] :rule_id
      def perform(input)
        rule = house.records.lock("keeping", input[:rule_id])
        raise Refusal.of(:gone_already) if rule.removed

        dropped =
          entry(
            "drop_keeping",
            "No own keeping time any more for #{work.catalog.foods[rule.scope]&.name || rule.scope}"
          )
        dropped.alter("keeping", rule, { removed: true })
        done(dropped, redated: RedateStacks.new(work, dropped).follow)
      end
    end
  end
end
