# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # What stacks came from, many to one: "split" off another, "poured" in, "cooked" from what went in.
    class Sources < Table
      # @param amount [Rational] in the source's own units
      # @return [Integer] id
      def add(act_id:, lot_id:, source_lot_id:, kind:, amount:)
        insert(:lot_sources, act_id: act_id, lot_id: lot_id, source_lot_id: source_lot_id, kind: kind, amount: amount)
      end

      # @return [Integer, nil] the stack this one was split off from
      def split_from(lot_id) = standing.where(lot_id: lot_id, kind: "split").get(:source_lot_id)

      # Of bags that were parted since they were filled: the stack they were filled as, and how many.
      # @return [Array(Integer, Rational)]
      def made_as(lot_id)
        first = lot_id
        while (from = split_from(first))
          first = from
        end
        [first, rows(:movements).where(lot_id: first, reason: "made").sum(:quantity).to_r]
      end

      # SELECT * FROM lot_sources WHERE household_id = 7 AND lot_id = 40 AND kind = 'cooked' ORDER BY id
      # @return [Array<Rows::Source>] what went into it
      def cooked_into(lot_id) = standing.where(lot_id: lot_id, kind: "cooked").exclude(amount: nil).order(:id).all

      # What was split off which, however many steps away.
      # SELECT lot_id, source_lot_id FROM lot_sources WHERE household_id = 7 AND kind = 'split' AND ...
      # @return [Hash{Integer=>Integer}] stack to the one it was split off from
      def splits = standing.where(kind: "split").select_hash(:lot_id, :source_lot_id)

      # Stacks and all that came of them since, however many steps away.
      # WITH RECURSIVE traced (id) AS (SELECT id FROM lots WHERE ... UNION SELECT lot_id FROM lot_sources JOIN traced ON
      #   traced.id = source_lot_id WHERE act_id NOT IN (SELECT undoes_act_id FROM acts ...)) SELECT id FROM traced
      # @param lots [Sequel::Dataset] ids of stacks
      # @return [Sequel::Dataset] ids of stacks
      def traced(lots)
        further =
          standing.join(:traced, id: Sequel[:lot_sources][:source_lot_id]).select(Sequel[:lot_sources][:lot_id])
        db[:traced].with_recursive(:traced, lots, further, args: [:id], union_all: false).select(:id)
      end

      private

      # What an act said that was undone says nothing.
      def standing
        rows(:lot_sources).exclude(Sequel[:lot_sources][:act_id] => taken_back)
      end
    end
  end
end
