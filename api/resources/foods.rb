# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/add_food"

module NutShelf
  module Api
    # Foods by name, and new ones.
    class Foods < Base
      get("/") { view { |room| { foods: found(room).map { |row| food(row, room) } } } }

      post("/") { act(Desk::AddFood, body_as("AddFood")) }

      helpers do
        def found(room)
          return room.house.foods.usual if params[:usual] == "yes"

          text = params[:q].to_s.strip
          refuse("invalid", "The search words cannot be used.", "Use up to 200 letters.") if text.length > 200 || text.include?("\u0000")
          text.empty? ? room.house.foods.all : room.house.foods.search(text)
        end

        def food(row, room)
          reference = room.catalog.foods[row[:reference_key]]
          { id: row[:id], key: row[:key], name: row[:name].to_s, aisle: row[:aisle], food_group: row[:food_group], dimension: row[:dimension], packs: reference&.typical_packs || [],
            own: row[:reference_key].nil?, allergens: Store::Foods.value(row, room.catalog).allergens,
            mark: room.office.marks.of(keys: row.values_at(:key, :reference_key), aisle: row[:aisle]) }
        end
      end
    end
  end
end
