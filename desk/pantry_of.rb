# frozen_string_literal: true

require_relative "../core/planning/pantry"
require_relative "../core/planning/proposal"
require_relative "../core/buying/price_book"
require_relative "../store/foods"

module NutShelf
  module Desk
    # The household's stock as the planning rules see it: every stack weighed, by food.
    class PantryOf
      STAPLES = %w[tap-water].freeze

      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @return [Core::Pantry]
      def pantry
        @pantry ||=
          Core::Pantry.new(holdings: holdings, foods: foods, free: STAPLES + by_level, allow_look: plan_looks?)
      end

      # "Plan what must be looked at" is on unless the household switched it off, or somebody goes by the date.
      def plan_looks? = !by_the_date? && @room.household[:settings].to_h.fetch("plan_looks", true)

      # @return [Hash{String=>Core::Food}] by the key recipes use
      def foods = @foods ||= food_rows.to_h { |row| [key(row), Store::Foods.value(row, @room.catalog)] }

      def food_id(key) = @food_ids[key]

      # @return [Core::PriceBook]
      def prices
        keys = food_rows.to_h { |row| [row[:id], key(row)] }
        latest = @room.house.packs.latest_prices(keys.keys).transform_keys { |id| keys[id] }
        Core::PriceBook.new(
          prices: latest,
          foods: foods,
          estimates: @room.household[:settings].fetch("price_per_kg", {})
        )
      end

      # What a person is asked to take for a pick, in the stack's own units.
      # @return [Rational]
      def proposal(key, pick)
        lot = lot(pick.stock.id)
        units = pick.amount / pantry.holding(key, lot[:id]).grams_per_unit
        Core::Proposal.amount(units, on_hand: lot[:on_hand].to_r, dimension: lot[:dimension].to_sym, food: foods[key])
      end

      # @return [Hash] the stored stack behind a pick
      def lot(id) = @lots.fetch(id)

      # What is kept by level and is running out: food key to "low" or "out", where no other stack of it has more.
      # @return [Hash{String=>String}]
      def running_out
        by_id = food_rows.to_h { |row| [row[:id], key(row)] }
        levels = lots.values.select { |lot| lot[:level] }.group_by { |lot| by_id[lot[:food_id]] }
        levels
          .transform_values do |list|
            list.map { |lot| lot[:level] }.min_by { |level| %w[plenty half low out].index(level) }
          end
          .select { |_, level| %w[low out].include?(level) }
      end

      private

      def food_rows
        @food_rows ||= @room.house.foods.all.tap { |rows| @food_ids = rows.to_h { |row| [key(row), row[:id]] } }
      end

      def key(row) = row[:reference_key] || row[:key]

      def lots = @lots ||= @room.house.lots.all_with_food.to_h { |row| [row[:id], row] }

      def holdings
        by_id = food_rows.to_h { |row| [row[:id], key(row)] }
        lots
          .values
          .reject { |lot| lot[:level] }
          .group_by { |lot| by_id[lot[:food_id]] }
          .to_h { |key, list| [key, list.filter_map { |lot| holding(lot, foods[key]) }] }
      end

      def by_the_date? = @room.policy.by_the_date? || @room.strict_eaters?

      # What is kept by level counts as there unless it is out; low is there, and on the list.
      def by_level
        by_id = food_rows.to_h { |row| [row[:id], key(row)] }
        lots
          .values
          .select { |lot| %w[plenty half low].include?(lot[:level]) && !lot[:stopped] && !lot[:quarantined] }
          .map { |lot| by_id[lot[:food_id]] }
          .uniq
      end

      def holding(lot, food)
        return unless food

        per_unit = Core::Holding.grams_per_unit(food, lot[:dimension].to_sym, lot[:noun])
        return unless per_unit&.positive?

        Core::Holding.new(
          stock: stock(lot, food, per_unit),
          grams_per_unit: per_unit,
          value_minor: lot[:value_minor],
          guessed: !lot[:noun].nil?
        )
      end

      def stock(lot, food, per_unit)
        place = @room.place(lot[:place_id])
        Core::Stock.new(
          id: lot[:id],
          amount: lot[:on_hand].to_r * per_unit,
          pack: (lot[:pack_amount] || 1).to_r * per_unit,
          usable_until: by_the_date? ? lot[:strict_until] : lot[:usable_until],
          safety_until: lot[:safety_until],
          look_until: look_until(lot, food),
          ready_on: lot[:ready_on],
          open: lot[:open],
          no_opened_limit: food.no_opened_limit,
          working: place[:tier] == "working",
          acquired_on: lot[:acquired_on],
          set_apart: place[:tier] == "set_apart" || lot[:quarantined],
          stopped: lot[:stopped],
          unknown: lot[:age_unknown] || lot[:look_first],
          place: place[:name].to_s
        )
      end

      # Only a sealed pack that belongs on the shelf may be planned with a look, and within the tolerance of its class.
      def look_until(lot, food)
        return if lot[:open] || lot[:frozen] || !food.shelf_stable? || lot[:quality_until].nil?

        food.past_date_tolerance_days.positive? ? lot[:quality_until] + food.past_date_tolerance_days : nil
      end
    end
  end
end
