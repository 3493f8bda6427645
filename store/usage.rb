# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # What was used of each food, week by week, and when each stack was last seen.
    class Usage < Table
      USED = %w[eaten cooked].freeze
      WEEKS = 16

      # Use by food and day; what a count found missing carries the day of the look before. Undone acts are left out.
      # SELECT lots.food_id, lots.dimension, acts.occurred_on, seen.after->>'since' AS since, -sum(quantity) FROM
      #   movements JOIN acts JOIN lots LEFT JOIN lot_events seen ... GROUP BY 1, 2, 3, 4; packs of unknown size are
      # counted by themselves, as "pack": they are no pieces
      # @return [Array<Rows::Use>]
      def daily(today, food_ids: nil, reasons: USED)
        seen =
          db[:lot_events].where(household_id: household_id, kind: "seen").select(
            :act_id,
            :lot_id,
            Sequel.lit("(after->>'since')::date AS since")
          )
        found =
          standing(today, reasons).left_join(
            seen.as(:seen),
            { act_id: Sequel[:movements][:act_id], lot_id: Sequel[:movements][:lot_id] }
          )
        found = found.where(Sequel[:lots][:food_id] => food_ids) if food_ids
        unit = Sequel.case({ { Sequel[:lots][:noun] => nil } => Sequel[:lots][:dimension] }, "pack")
        columns = [Sequel[:lots][:food_id], unit.as(:dimension), Sequel[:acts][:occurred_on], Sequel[:seen][:since]]
        found
          .group(Sequel[:lots][:food_id], unit, Sequel[:acts][:occurred_on], Sequel[:seen][:since])
          .select(*columns, Sequel.lit("-sum(movements.quantity)").as(:used))
          .then { |uses| rows_as(uses, Rows::Use).all }
      end

      # @return [Hash{Integer=>Date}] the day each food first came into the house
      # SELECT lots.food_id, min(acts.occurred_on) FROM movements JOIN acts JOIN lots ... GROUP BY lots.food_id
      def first_days
        db[:movements]
          .join(:acts, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:act_id] })
          .join(:lots, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:lot_id] })
          .where(Sequel[:movements][:household_id] => household_id)
          .group(Sequel[:lots][:food_id])
          .select_hash(Sequel[:lots][:food_id], Sequel.function(:min, Sequel[:acts][:occurred_on]).as(:first_on))
      end

      # Day somebody last saw, moved, took or counted a stack.
      # SELECT lots.id, greatest(lots.seen_on, max(acts.occurred_on)) FROM lots JOIN movements/lot_events JOIN acts ...
      #   WHERE lots.id IN (...) GROUP BY lots.id
      # @return [Hash{Integer=>Date}]
      def seen_on(lot_ids)
        touching =
          db[:movements]
            .where(household_id: household_id, lot_id: lot_ids)
            .select(:lot_id, :act_id)
            .union(
              db[:lot_events].where(household_id: household_id, lot_id: lot_ids).select(:lot_id, :act_id),
              from_self: true,
              alias: :touching
            )
        touching
          .join(:acts, id: Sequel[:touching][:act_id])
          .join(:lots, id: Sequel[:touching][:lot_id])
          .where(Sequel[:acts][:household_id] => household_id)
          .group(Sequel[:lots][:id])
          .select_hash(Sequel[:lots][:id], Sequel.lit("greatest(lots.seen_on, max(acts.occurred_on))").as(:seen_on))
      end

      # How many "still there?" questions were answered on a day.
      def answered(day) = rows(:acts).where(kind: "seen", occurred_on: day).count

      private

      def standing(today, reasons)
        db[:movements]
          .join(:acts, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:act_id] })
          .join(:lots, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:lot_id] })
          .where(Sequel[:movements][:household_id] => household_id, :reason => reasons)
          .where { Sequel[:acts][:occurred_on] > today - (WEEKS * 7) }
          .exclude(
            Sequel[:acts][:id] =>
              taken_back
          )
      end
    end
  end
end
