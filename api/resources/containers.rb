# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/add_container"
require_relative "../../desk/acts/change_container"
require_relative "../../core/portioning/fill"

module NutShelf
  module Api
    # Jars, tubs and boxes by size; the empty ones; what would go into one.
    class Containers < Base
      get("/") do
        view(:stock, :rules) { |room| { containers: room.house.containers.all.map { |row| container(row, room) } } }
      end

      post("/") { act(Desk::AddContainer, body_as("AddContainer")) }

      post("/:id/change") { act(Desk::ChangeContainer, { container_id: id_param, **body_as("ChangeContainer") }) }

      get("/:id/fill") do
        food_id =
          if params[:food_id]
            id_param(:food_id)
          else
            refuse(
              "invalid",
              "It does not say of what.",
              "Choose a food.",
              errors: [{ pointer: "/food_id", detail: "It is missing." }]
            )
          end
        view(:stock, :rules) { |room| fill(room, room.house.containers.find(id_param), food_id) }
      end

      helpers do
        def container(row, room)
          {
            **row.slice(:id, :kind, :shape, :capacity_ml, :owned, :in_use, :place_id, :version),
            name: row.name,
            empty: row.owned - row.in_use,
            tare_g: decimal(row.tare_g),
            full_at: decimal(row.full_at),
            place: row.place_id && room.place(row.place_id).name
          }
        end

        def words(room, grams) = room.amount(Core::Quantity.new(grams, :mass))

        def decimal(number) = number && Core::Decimal.print(number.to_r)

        def fill(room, row, food_id)
          food = room.food(food_id)
          fill =
            Core::Fill.new(
              capacity_ml: row.capacity_ml,
              food: food,
              cursor: room.shelf.cursor(allow_look: false),
              on: room.today,
              freezing: params[:freezing] == "yes" ? row.shape : nil
            )
          {
            amount: words(room, fill.grams),
            grams: Core::Decimal.print(fill.grams),
            short: fill.short_g.positive? ? words(room, fill.short_g) : nil,
            steps: fill.steps,
            picks:
              fill.picks.map do |pick|
                { lot_id: pick.stack.id, words: words(room, pick.amount), place: pick.stack.place }
              end
          }
        end
      end
    end
  end
end
