# frozen_string_literal: true

require_relative "../core/quantity/hand_words"
require_relative "../core/rotation/bring_forward"
require_relative "pantry_of"
require_relative "usage_of"
require_relative "../core/value"

module NutShelf
  module Desk
    # What to bring from backstock to the working shelf, food by food, oldest first.
    class BringForwardOf
      # One food: its working amount and where that comes from, what stands at hand, what to bring. Frozen.
      Item = Core::Value.of(:food_id, :key, :name, :amount_g, :pack_g, :own, :list, :steps, :to_place)

      # @param room [Room]
      def initialize(room)
        @room = room
        @pantry_of = PantryOf.new(room)
        @usage = UsageOf.new(room)
      end

      attr_reader :pantry_of

      # @return [Array<Item>] foods that need something brought, the emptiest first
      def items
        found = pantry_of.pantry.holdings.filter_map { |key, holdings| item(key, holdings.reject { |one| elsewhere?(one) }) }
        found.reject { |item| item.list.picks.empty? }.sort_by { |item| [-(item.list.need / item.amount_g), item.name] }
      end

      # Set apart or frozen: not for the working shelf.
      def elsewhere?(holding) = holding.stock.set_apart || pantry_of.lot(holding.stock.id)[:frozen]

      # A pick in the stack's own units, whole packs.
      # @return [Rational]
      def own_units(key, pick) = pick.amount / pantry_of.pantry.holding(key, pick.stock.id).grams_per_unit

      private

      def item(key, holdings)
        working, back = holdings.partition { |one| one.stock.working }
        # What lives in the cold or keeps best in the cellar stays there until it is cooked.
        return if back.empty? || !pantry_of.foods.fetch(key).shelf_stable?

        food_id = pantry_of.food_id(key)
        amount, own, steps = wanted(food_id, holdings, back)
        return unless amount.positive?

        list = Core::BringForward.new(working: working.map(&:stock), backstock: back.map(&:stock), amount: amount, on: @room.today)
        Item.new(food_id: food_id, key: key, name: pantry_of.foods.fetch(key).name, amount_g: amount, pack_g: back.filter_map { |one| one.stock.pack }.min, own: own, list: list, steps: steps, to_place: to_place(working))
      end

      # The household's own figure, else what is eaten between two walks to where the backstock stands.
      def wanted(food_id, holdings, back)
        own = @room.food_row(food_id)[:working_amount]
        lot = pantry_of.lot(holdings.first.stock.id)
        rate = @usage.of(lot)
        return [own.to_r, true, ["The household's own working amount."]] if own

        reach = back.map { |one| @room.place(pantry_of.lot(one.stock.id)[:place_id])[:reach] }.min_by { |word| Core::BringForward::REACH_DAYS.fetch(word) }
        facts = { daily: rate.daily * holdings.first.grams_per_unit, reach: reach }
        food = @room.food(food_id)
        [Core::BringForward.working_amount(**facts), false, [*rate.steps, *Core::BringForward.reasons(**facts, words: ->(grams) { Core::HandWords.of(grams, food, measures: @room.measures) })]]
      end

      # Where it goes: where some of it stands already, else the first working place that suits a sealed pack.
      def to_place(working)
        there = working.map { |one| pantry_of.lot(one.stock.id) }.find { |lot| !lot[:open] }
        return @room.place(there[:place_id]) if there

        @room.places.values.find { |place| place[:tier] == "working" && %w[cupboard cool_dark].include?(place[:kind]) } || @room.places.values.find { |place| place[:tier] == "working" }
      end
    end
  end
end
