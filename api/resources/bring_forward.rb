# frozen_string_literal: true

require_relative "../base"
require_relative "../views/crossed_view"
require_relative "../../desk/bring_forward_of"
require_relative "../../desk/redate"

module NutShelf
  module Api
    # What to carry from backstock to the working shelf.
    class BringForward < Base
      get("/") do
        view do |room|
          of = Desk::BringForwardOf.new(room)
          { items: of.items.map { |item| item(room, of, item) }, crossed: CrossedView.new(room, of.pantry_of).call }
        end
      end

      helpers do
        def item(room, of, item)
          food = of.pantry_of.foods.fetch(item.key)
          { food_id: item.food_id, food: item.name, working_amount: words(room, item, food, item.amount_g), own: item.own,
            at_hand: words(room, item, food, item.list.there), short: item.list.short.positive? ? words(room, item, food, item.list.short) : nil,
            to_place_id: item.to_place && item.to_place[:id], to_place: item.to_place && item.to_place[:name].to_s, steps: item.steps,
            picks: item.list.picks.map { |pick| pick(room, of, item.key, pick, item.to_place) } }
        end

        def words(room, item, food, grams) = Core::HandWords.of(grams, food, pack: item.pack_g, measures: room.measures)

        def pick(room, of, key, pick, to_place)
          lot = of.pantry_of.lot(pick.stock.id)
          amount = of.own_units(key, pick)
          { lot_id: lot[:id], amount: Core::Decimal.print(amount), words: in_hands(room, lot, amount), place: room.place(lot[:place_id])[:name].to_s, usable_until: lot[:usable_until]&.iso8601, then_until: (to_place ? there(room, lot, to_place) : lot[:usable_until])&.iso8601 }
        end

        # "2 tins of 400 g", as hands carry them.
        def in_hands(room, lot, amount)
          packs = lot[:open] || lot[:noun] ? nil : Core::HandWords.packs(amount, lot[:pack_amount]&.to_r, room.mark(lot))
          packs ? "#{packs} of #{room.size(Core::Quantity.new(lot[:pack_amount].to_r, lot[:dimension].to_sym))}" : room.wording(lot, amount: amount)
        end

        # The last good day it would have where it is brought to.
        def there(room, lot, to_place)
          moved = { "kind" => "moved", "on" => room.today.iso8601, "place_id" => to_place[:id] }
          Desk::Redate.new(room).judge(lot.merge(history: [*lot[:history].to_a, moved], place_id: to_place[:id])).usable_until
        end
      end
    end
  end
end
