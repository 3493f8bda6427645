# frozen_string_literal: true

require_relative "stack_view"
require_relative "../../core/reference/household_food"

module NutShelf
  module Api
    # Foods as JSON; those one usually puts away with the pack, the place and the date they came with last.
    class FoodView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param rows [Array<Store::Rows::Food>]
      # @return [Array<Hash>]
      def plain(rows) = rows.map { |row| food(row, nil) }

      # @param rows [Array<Store::Rows::Food>]
      # @return [Array<Hash>]
      def usual(rows)
        last = @work.house.foods.came_last(rows.map(&:id))
        rows.map { |row| food(row, last[row.id]) }
      end

      # @param row [Store::Rows::Food]
      # @return [Array<Core::Quantity>] sizes of one pack, those this household has had first
      def packs(row)
        had =
          (@had ||= @work.house.packs.by_food(nil))
            .fetch(row.id, [])
            .map { |pack| Core::Quantity.new(pack.amount.to_r, pack.dimension.to_sym) }
        [*had, *@work.catalog.foods[row.reference_key]&.typical_packs].uniq.map { |size| pack(size) }
      end

      # @param row [Store::Rows::Food]
      # @return [String]
      def mark(row) = @work.services.marks.of(keys: [row.key, row.reference_key], aisle: row.aisle)

      private

      def pack(size)
        words = size.dimension == :count ? Core::Wording.counted(size.amount, "piece") : @work.size(size)
        { amount: Core::Decimal.print(size.amount), unit: size.unit, words: words }
      end

      def food(row, last)
        known = Core::HouseholdFood.of(row, @work.catalog)
        {
          id: row.id,
          key: row.key,
          name: row.name,
          aisle: row.aisle,
          food_group: row.food_group,
          dimension: row.dimension,
          packs: packs(row),
          own: row.reference_key.nil?,
          allergens: known.allergens,
          mark: mark(row),
          date_kind: known.date_kind_usual,
          by_day: !known.shelf_stable?,
          usual: last && came(last, row)
        }
      end

      # Where its place was taken away since, it has none.
      def came(last, row)
        pack = last.pack_amount
        {
          amount: pack && Core::Decimal.print(pack.to_r),
          unit: Core::Unit.base(last.dimension.to_sym),
          noun: last.noun,
          place_id: [row.home_place_id, last.start_place_id].find { |id| @work.places.key?(id) },
          count: count(last.quantity, pack&.to_r),
          days: days(last),
          date_kind: last.printed_kind
        }
      end

      def count(quantity, pack)
        count = pack ? quantity / pack : quantity
        count.denominator == 1 && count.positive? ? count.to_i : 1
      end

      # How far ahead its date lay when it came.
      def days(last) = last.printed_on && last.acquired_on && [(last.printed_on - last.acquired_on).to_i, 0].max
    end
  end
end
