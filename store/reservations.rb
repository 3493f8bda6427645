# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # What of a stack is set apart, for whom and until when.
    class Reservations < Table
      # @param on [Date]
      # @return [Hash{Integer=>Rational}] what is set apart of each stack that day, in its own units
      # SELECT lot_id, sum(amount) FROM reservations WHERE household_id = 7 AND archived_at IS NULL
      #   AND (until_on IS NULL OR until_on >= '2026-11-27') GROUP BY lot_id
      def held(on)
        standing(on).group(:lot_id).select_hash(:lot_id,
          Sequel.function(:sum, :amount).as(:held)).transform_values(&:to_r)
      end

      # @return [Array<Rows::Reservation>] those of a stack that stand that day, the first that ends first
      def of_lot(lot_id, on)
        standing(on).where(lot_id: lot_id).order(Sequel.asc(:until_on, nulls: :last), :id).all
      end

      # @return [Array<Rows::Reservation>] all that stand that day, the first that ends first
      def all(on) = standing(on).order(Sequel.asc(:until_on, nulls: :last), :id).all

      # SELECT lot_id, kit_id FROM reservations WHERE household_id = 7 AND kit_id IS NOT NULL ORDER BY id
      # @return [Hash{Integer=>Integer}] stacks that were ever set apart for a kit, by stack; the latest kit
      def for_kits = rows(:reservations).exclude(kit_id: nil).order(:id).select_map(%i[lot_id kit_id]).to_h

      # SELECT * FROM reservations WHERE household_id = 7 AND trip_id = 3 AND archived_at IS NULL ORDER BY id
      # @return [Array<Rows::Reservation>] what is packed for a trip, whatever day it is
      def of_trip(trip_id) = rows(:reservations).where(trip_id: trip_id, archived_at: nil).order(:id).all

      private

      def standing(on)
        rows(:reservations).where(archived_at: nil).where(Sequel.|({ until_on: nil }, Sequel[:until_on] >= on))
      end
    end
  end
end
