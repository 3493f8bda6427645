# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Sizes a food is sold in, their barcodes, and what was paid for them.
    class Packs < Table
      # @return [Integer] id of the pack, made if it is new
      def ensure(food_id:, amount:, dimension:, noun: "")
        key = { food_id: food_id, amount: amount, dimension: dimension, noun: noun.to_s }
        @ensured ||= {}
        @ensured[key] ||= rows(:packs).where(key).get(:id) || insert(:packs, key)
      end

      # @param food_ids [Array<Integer>, nil] nil: of every food
      def by_food(food_ids)
        (food_ids ? rows(:packs).where(food_id: food_ids) : rows(:packs))
          .order(:id)
          .all
          .group_by(&:food_id)
      end

      # SELECT id, opening FROM packs WHERE household_id = 7 AND opening IS NOT NULL
      # @return [Hash{Integer=>String}] how packs open of which somebody said so, by pack
      def openings = @openings ||= rows(:packs).exclude(opening: nil).select_hash(:id, :opening)

      # Somebody said it of another.
      def know_openings = @openings = nil

      # SELECT packs.* FROM packs JOIN pack_barcodes ... WHERE code = '04006381333931'
      def by_barcode(code)
        rows(:packs)
          .join(:pack_barcodes, { household_id: Sequel[:packs][:household_id], pack_id: Sequel[:packs][:id] })
          .where(code: code)
          .select_all(:packs)
          .first
      end

      # A code learnt again means another pack from now on.
      def learn_barcode(code:, pack_id:)
        db[:pack_barcodes].insert_conflict(target: %i[household_id code], update: { pack_id: pack_id }).insert(
          household_id: household_id,
          code: code,
          pack_id: pack_id
        )
      end

      # @param pack_id [Integer, nil] what the code meant before; nil: nothing
      def unlearn_barcode(code:, pack_id:)
        pack_id ? learn_barcode(code: code, pack_id: pack_id) : rows(:pack_barcodes).where(code: code).delete
      end

      # @return [Array<Rows::Barcode>] every code that was learnt, with its pack
      def barcodes
        rows_as(rows(:pack_barcodes), Rows::Barcode)
          .join(:packs, { household_id: Sequel[:pack_barcodes][:household_id], id: Sequel[:pack_barcodes][:pack_id] })
          .select(:code, Sequel[:packs][:food_id], Sequel[:packs][:amount], Sequel[:packs][:dimension])
          .order(:code)
          .all
      end

      # @param from [Date]
      # @return [Integer] minor units that were paid since, by acts that stand
      # SELECT sum(price_minor) FROM price_observations WHERE household_id = 7 AND observed_on >= '2026-11-27' AND ...
      def spent_since(from)
        rows(:price_observations)
          .where { observed_on >= from }
          .exclude(act_id: taken_back)
          .sum(:price_minor)
          .to_i
      end

      # What was paid for foods by acts that stand, with the pack it was paid for.
      # SELECT price_observations.*, packs.amount AS pack FROM price_observations LEFT JOIN packs ... WHERE food_id IN
      #   (...) AND ... NOT IN (...) ORDER BY observed_on, id
      # @param food_ids [Array<Integer>]
      # @return [Array<Rows::PackPrice>] first day first
      def paid(food_ids)
        observed = Sequel[:price_observations]
        rows_as(rows(:price_observations), Rows::PackPrice)
          .left_join(:packs, { household_id: observed[:household_id], id: observed[:pack_id] })
          .where(observed[:food_id] => food_ids)
          .where(Sequel.|({ act_id: nil }, Sequel.~(act_id: taken_back)))
          .select_all(:price_observations)
          .select_append(Sequel[:packs][:amount].as(:pack))
          .order(:observed_on, observed[:id])
          .all
      end

      # SELECT 1 FROM price_observations WHERE household_id = 7 LIMIT 1
      def no_price? = rows(:price_observations).empty?

      # @return [Integer] id
      def add_price(**facts) = insert(:price_observations, facts)

      # The latest price of each food by base unit, the latest first; what an act noted that was undone says nothing.
      # SELECT DISTINCT ON (food_id, dimension) * FROM price_observations WHERE household_id = 7 AND food_id IN (...)
      #   AND (act_id IS NULL OR act_id NOT IN (SELECT undoes_act_id FROM acts ...)) ORDER BY food_id, dimension,
      #   observed_on DESC, id DESC
      def latest_prices(food_ids)
        found =
          rows(:price_observations)
            .where(food_id: food_ids)
            .where(Sequel.|({ act_id: nil }, Sequel.~(act_id: taken_back)))
            .distinct(:food_id, :dimension)
            .order(:food_id, :dimension, Sequel.desc(:observed_on), Sequel.desc(:id))
            .all
        found.sort_by { |row| [row.observed_on, row.id] }.reverse.group_by(&:food_id)
      end
    end
  end
end
