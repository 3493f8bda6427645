# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/bring_forward_of"

module NutShelf
  module Api
    # What to carry from backstock to the working shelf.
    class BringForward < Base
      get("/") do
        view do |room|
          of = Desk::BringForwardOf.new(room)
          { items: of.items.map { |item| item(room, of, item) } }
        end
      end

      helpers do
        def item(room, of, item)
          key = of.pantry_of.foods.find { |_, food| food.name == item.name }.first
          { food_id: item.food_id, food: item.name, working_amount: grams(item.amount_g), own: item.own, at_hand: grams(item.amount_g - item.list.need), short: item.list.short.positive? ? grams(item.list.short) : nil,
            to_place_id: item.to_place && item.to_place[:id], to_place: item.to_place && item.to_place[:name].to_s, steps: item.own ? ["The household's own working amount."] : item.rate.steps,
            picks: item.list.picks.map { |pick| pick(room, of, key, pick) } }
        end

        def pick(room, of, key, pick)
          lot = of.pantry_of.lot(pick.stock.id)
          amount = of.own_units(key, pick)
          { lot_id: lot[:id], amount: Core::Decimal.print(amount), words: room.wording(lot, amount: amount), place: room.place(lot[:place_id])[:name].to_s, usable_until: lot[:usable_until]&.iso8601 }
        end

        def grams(amount) = Core::Wording.free(Core::Quantity.new(amount, :mass))
      end
    end
  end
end
