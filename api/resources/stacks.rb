# frozen_string_literal: true

require_relative "../base"
require_relative "../views/act_view"
require_relative "../views/stack_view"
require_relative "../views/shelf_page"
require_relative "../../desk/acts/look"
require_relative "../../desk/acts/move"
require_relative "../../desk/acts/open"
require_relative "../../desk/acts/put_away"
require_relative "../../desk/acts/set_level"
require_relative "../../desk/acts/take"
require_relative "../../desk/acts/throw"

module NutShelf
  module Api
    # The shelf, one stack, and what is done with it.
    class Stacks < Base
      get("/") { view { |room| ShelfPage.new(room, shelf_filters).call } }

      post("/") { act(Desk::PutAway, body_as("PutAway")) }

      get("/:id") { view { |room| detail(room, id_param) } }

      { take: [Desk::Take, "Take"], open: [Desk::Open, "Nothing"], move: [Desk::Move, "Move"], throw: [Desk::Throw, "Throw"], look: [Desk::Look, "Look"],
        level: [Desk::SetLevel, "Level"] }.each do |name, (klass, schema)|
        post("/:id/#{name}") { act(klass, { lot_id: id_param, **body_as(schema) }) }
      end

      helpers do
        def shelf_filters
          { place_id: params[:place_id] && id_param(:place_id), food_id: params[:food_id] && id_param(:food_id), text: search_text, state: params[:state],
            cursor: params[:cursor], limit: number_param(:limit, 500, 1..2000) }
        end

        def search_text
          text = params[:q].to_s
          refuse("invalid", "The search words cannot be used.", "Use up to 200 letters.") if text.length > 200 || text.include?("\u0000") || !text.valid_encoding?
          text.strip.empty? ? nil : text.strip
        end

        def detail(room, id)
          lot = room.house.lots.one(id)
          row = room.house.lots.shelf_row(id)
          food = room.food(lot[:food_id])
          { stack: StackView.new(room).call(row), place: room.place(lot[:place_id])[:name].to_s, **days(lot), basis: lot[:basis], school: room.policy.school_words,
            steps: lot[:steps].to_a, warnings: lot[:flags].map { |flag| flag["text"] }, cautions: cautions(food), history: history(room, lot) }
        end

        def days(lot) = %i[quality_until safety_until ready_on].to_h { |name| [name, lot[name]&.iso8601] }

        # The stack's own history, before it that of the stack it was split off from.
        def history(room, lot)
          own = room.house.ledger.history(lot[:id])
          earlier = lot[:parent_lot_id] ? history(room, room.house.lots.one(lot[:parent_lot_id])) : []
          earlier.select { |row| row[:act_id] < own.first[:id] } + own.map { |act| ActView.history(act, ->(amount) { room.wording(lot, amount: amount) }) }
        end

        # Short and plain, where the decision is made.
        def cautions(food)
          list = []
          list << "Bulging, leaking, spurting or rusted through: do not taste it, throw it out." if food.aisle == "Tins and cans"
          list << "#{food.vulnerable_avoid}." unless food.vulnerable_avoid.to_s.empty?
          list << "Two hours out of the cold at most, one when it is very hot." if food.high_risk && food.aisle != "Tins and cans"
          list.empty? ? list : [*list, "When in doubt, throw it out. Follow your local food-safety authority."]
        end
      end
    end
  end
end
