# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../../core/care/schedule"
require_relative "../refusal"

module NutShelf
  module Desk
    # Care was given. What recurs comes round again, a follow-up is over, and a date that rests on it moves on.
    class DoneCare < Act
      private

      # @param input [Hash] :care_id
      def perform(input)
        rule = house.records.lock("care", input[:care_id])
        raise Refusal.of(:done_already) if rule.archived_at || rule.next_on.nil? || rule.done_on == work.today

        cared = entry("care", "Done: #{rule.title}")
        following = Core::Schedule.new(**rule.slice(:first_on, :every_days, :every_months), done_on: work.today).next_on
        cared.alter("care", rule, { done_on: work.today, next_on: following })
        RedateStacks.new(work, cared).care_of(rule.lot_id) if rule.lot_id && rule.holds_days
        done(cared, care_id: rule.id)
      end
    end
  end
end
