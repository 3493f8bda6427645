# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../refusal"

module NutShelf
  module Desk
    # Care that recurs (fresh water, turned jars, a look for sprouts), a check by the calendar, or a single follow-up.
    class AddCare < Act
      private

      # @param input [Hash] :title, :lot_id or :place_id or neither, :first_on, :every_days, :every_months, :holds_days
      #   when care is part of the stack's time
      def perform(input)
        check(input)
        added = entry("add_care", "To do: #{input[:title].strip}")
        first = Date.iso8601(input[:first_on])
        id =
          added.make(
            "care",
            {
              **input.slice(:lot_id, :place_id, :every_days, :every_months, :holds_days),
              title: input[:title].strip,
              first_on: first,
              next_on: first
            }
          )
        RedateStacks.new(work, added).follow if input[:holds_days]
        done(added, care_id: id)
      end

      def check(input)
        house.lots.lock_one(input[:lot_id]) if input[:lot_id]
        work.place_in_use(input[:place_id]) if input[:place_id]
        raise Refusal.of(:care_days_or_months, at: "/every_days") if input[:every_days] && input[:every_months]
        raise Refusal.of(:care_holds_no_date, at: "/holds_days") if input[:holds_days] && !input[:lot_id]
      end
    end
  end
end
