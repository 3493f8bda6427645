# frozen_string_literal: true

require_relative "../base"
require_relative "../views/breach_view"
require_relative "../../desk/replenishment"

module NutShelf
  module Api
    # What to carry from backstock to the working shelf.
    class BringForward < Base
      get("/") do
        view(:stock, :plan, :people, :rules) do |work|
          of = Desk::Replenishment.new(work)
          { items: of.items.map { |item| item(work, of, item) }, crossed: BreachView.call(work) }
        end
      end

      helpers do
        def item(work, of, item)
          {
            food_id: item.food_id,
            food: item.food.name,
            working_amount: words(work, item, item.amount_g),
            own: item.own,
            at_hand: words(work, item, item.list.there),
            steps: item.steps,
            short: item.list.short.positive? ? words(work, item, item.list.short) : nil,
            to_place_id: item.to_place&.id,
            to_place: item.to_place&.name,
            picks: item.list.picks.map { |pick| pick(work, pick, of.then_until(item, pick)) }
          }
        end

        def words(work, item, grams) = Core::HandWords.of(grams, item.food, pack: item.pack_g, measures: work.measures)

        def pick(work, pick, then_until)
          stack = pick.stack
          amount = pick.amount / stack.grams_per_unit
          {
            lot_id: stack.id,
            amount: Core::Decimal.print(amount),
            words: in_hands(work, stack, amount),
            place: stack.place,
            usable_until: stack.usable_until&.iso8601,
            then_until: then_until&.iso8601
          }
        end

        # "2 tins of 400 g", as hands carry them.
        def in_hands(work, stack, amount)
          packs = stack.open || stack.noun ? nil : Core::HandWords.packs(amount, stack.pack_amount, work.mark(stack))
          return work.wording(stack, amount: amount) unless packs

          "#{packs} of #{work.size(Core::Quantity.new(stack.pack_amount, stack.dimension))}"
        end
      end
    end
  end
end
