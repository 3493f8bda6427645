# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Recurring care, checks and follow-ups.
    class Care < Table
      # SELECT care_rules.*, lots.place_id AS lot_place_id FROM care_rules LEFT JOIN lots ... WHERE household_id = 7 AND
      #   archived_at IS NULL ORDER BY next_on NULLS LAST, id
      # @return [Array<Rows::StandingCare>]
      def all = standing.order(Sequel.asc(:next_on, nulls: :last), Sequel[:care_rules][:id]).all

      # What is due up to a day, leaving out stacks that are used up.
      def due(day)
        standing
          .where { Sequel[:care_rules][:next_on] <= day }
          .where(Sequel.|({ Sequel[:care_rules][:lot_id] => nil }, Sequel[:lots][:on_hand] > 0))
          .order(Sequel[:care_rules][:next_on], Sequel[:care_rules][:id])
          .all
      end

      # SELECT * FROM care_rules WHERE household_id = 7 AND archived_at IS NULL AND lot_id = 3 ORDER BY id
      def of_lot(lot_id) = standing.where(lot_id: lot_id).order(Sequel[:care_rules][:id]).all

      # Care that is part of a stack's time.
      # @return [Rows::CareRule, nil] the rule whose hold ends first
      def holding(lot_id)
        live
          .where(lot_id: lot_id)
          .exclude(holds_days: nil)
          .min_by(&:held_until)
      end

      private

      def standing
        rows_as(live, Rows::StandingCare)
          .left_join(:lots, { household_id: Sequel[:care_rules][:household_id], id: Sequel[:care_rules][:lot_id] })
          .select_all(:care_rules)
          .select_append(Sequel[:lots][:place_id].as(:lot_place_id))
      end

      def live = rows(:care_rules).where(Sequel[:care_rules][:archived_at] => nil)
    end
  end
end
