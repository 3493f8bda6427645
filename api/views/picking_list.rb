# frozen_string_literal: true

require_relative "plan_view"

module NutShelf
  module Api
    # The cook's page: steps, and what to take from where, front of the shelf first.
    class PickingList
      # @param room [Desk::Room]
      def initialize(room)
        @room = room
        @plan = PlanView.new(room)
      end

      # @param id [Integer] meal
      # @return [Hash]
      def call(id)
        row = @room.house.meals.listed_one(id)
        recipe = @plan.recipes.fetch(row[:recipe_id])
        dish = @plan.planned_dish(id)
        { meal: @plan.meal(row), gear: recipe.gear, steps: recipe.steps, leftover_days: recipe.leftover_days, allergens: @plan.allergens(dish),
          not_for: dish.clashes.map { |clash| @plan.not_for(clash) }, lines: dish.lines.map { |line| line(line) } }
      end

      private

      def line(line)
        wanted = line.unknown ? @room.amount(line.line.quantity) : @plan.food_amount(line.food_key, line.grams)
        { food: @plan.food_name(line.food_key), wanted: wanted, optional: line.line.optional, note: line.line.note.to_s, free: line.free, unknown: line.unknown,
          substitute: line.substitute ? @plan.food_name(line.line.food_key) : nil, missing: line.missing.positive? ? @plan.food_amount(line.food_key, line.missing) : nil,
          picks: line.picks.map { |pick| pick(line.food_key, pick) } }
      end

      def pick(key, pick)
        lot = @plan.lot(pick.stock.id)
        amount = @plan.lot_amount(key, pick)
        { lot_id: lot[:id], name: lot[:label].empty? ? @plan.food_name(key) : lot[:label], place: pick.stock.place, amount: Core::Decimal.print(amount),
          unit: lot[:noun] || { "mass" => "g", "volume" => "ml", "count" => "piece" }.fetch(lot[:dimension]), amount_text: @plan.lot_amount_text(key, pick),
          packs: lot[:open] || lot[:noun] ? nil : Core::HandWords.packs(amount, lot[:pack_amount]&.to_r, @room.mark(lot)),
          on_hand: Core::Decimal.print(lot[:on_hand].to_r), opens: pick.opens, look: pick.look, guessed: !lot[:noun].nil?,
          days_left: pick.stock.usable_until && (pick.stock.usable_until - @room.today).to_i }
      end
    end
  end
end
