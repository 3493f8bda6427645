# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/add_container"
require_relative "../../desk/acts/change_container"
require_relative "../../core/kits/figures"
require_relative "../../core/portioning/fill"
require_relative "../../core/portioning/freezer_jars"

module NutShelf
  module Api
    # Jars, tubs and boxes by size; the empty ones; what would go into one.
    class Containers < Base
      get("/") do
        view(:stock, :rules) { |work| { containers: work.house.containers.all.map { |row| container(row, work) } } }
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
        view(:stock, :rules) { |work| fill(work, work.house.containers.find(id_param), food_id) }
      end

      helpers do
        def container(row, work)
          {
            **row.slice(:id, :kind, :shape, :capacity_ml, :owned, :in_use, :place_id, :version),
            name: row.name,
            empty: row.owned - row.in_use,
            tare_g: decimal(row.tare_g),
            full_at: decimal(row.full_at),
            place: row.place_id && work.place(row.place_id).name
          }
        end

        def words(work, grams) = work.amount(Core::Quantity.new(grams, :mass))

        def decimal(number) = number && Core::Decimal.print(number.to_r)

        def headspace(work, row)
          Core::Portioning::FreezerJars.new(Core::Kits::Figures.new(targets: work.catalog.targets))
            .headspace(shape: row.shape, capacity_ml: row.capacity_ml)
        end

        def fill(work, row, food_id)
          food = work.food(food_id)
          fill =
            Core::Fill.new(
              capacity_ml: row.capacity_ml,
              food: food,
              cursor: work.shelf.cursor(allow_look: false),
              on: work.today,
              headspace: params[:freezing] == "yes" ? headspace(work, row) : 0r
            )
          {
            amount: words(work, fill.grams),
            grams: Core::Decimal.print(fill.grams),
            short: fill.short_g.positive? ? words(work, fill.short_g) : nil,
            steps: fill.steps,
            picks:
              fill.picks.map do |pick|
                { lot_id: pick.stack.id, words: words(work, pick.amount), place: pick.stack.place }
              end
          }
        end
      end
    end
  end
end
