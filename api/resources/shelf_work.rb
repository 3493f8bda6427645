# frozen_string_literal: true

require_relative "../base"
require_relative "../views/scan_view"
require_relative "../../desk/acts/add_care"
require_relative "../../desk/acts/add_container"
require_relative "../../desk/acts/change_container"
require_relative "../../desk/acts/done_care"
require_relative "../../desk/acts/drop_care"
require_relative "../../desk/acts/learn_barcode"
require_relative "../../desk/acts/quarantine"
require_relative "../../desk/bring_forward_of"
require_relative "../../core/portioning/fill"

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

    # Jars, tubs and boxes by size; the empty ones; what would go into one.
    class Containers < Base
      get("/") { view { |room| { containers: room.house.containers.all.map { |row| container(row, room) } } } }

      post("/") { act(Desk::AddContainer, body_as("AddContainer")) }

      post("/:id/change") { act(Desk::ChangeContainer, { container_id: id_param, **body_as("ChangeContainer") }) }

      get("/:id/fill") do
        food_id = params[:food_id] ? id_param(:food_id) : refuse("invalid", "It does not say of what.", "Choose a food.", errors: [{ pointer: "/food_id", detail: "It is missing." }])
        view { |room| fill(room, room.house.containers.find(id_param), food_id) }
      end

      helpers do
        def container(row, room)
          { **row.slice(:id, :kind, :shape, :capacity_ml, :owned, :in_use, :place_id, :version), name: row[:name], empty: row[:owned] - row[:in_use], tare_g: row[:tare_g] && Core::Decimal.print(row[:tare_g].to_r), full_at: row[:full_at] && Core::Decimal.print(row[:full_at].to_r),
            place: row[:place_id] && room.place(row[:place_id])[:name].to_s }
        end

        def fill(room, row, food_id)
          of = Desk::PantryOf.new(room)
          food = room.food(food_id)
          stocks = of.pantry.holdings.fetch(food.key, []).map(&:stock).reject(&:set_apart)
          fill = Core::Fill.new(capacity_ml: row[:capacity_ml].to_r, food: food, stocks: stocks, on: room.today, freezing: params[:freezing] == "yes" ? row[:shape] : nil)
          { amount: Core::Wording.free(Core::Quantity.new(fill.grams, :mass)), grams: Core::Decimal.print(fill.grams), short: fill.short_g.positive? ? Core::Wording.free(Core::Quantity.new(fill.short_g, :mass)) : nil, steps: fill.steps,
            picks: fill.picks.map { |pick| { lot_id: pick.stock.id, words: Core::Wording.free(Core::Quantity.new(pick.amount, :mass)), place: pick.stock.place } } }
        end
      end
    end

    # Recurring care, checks and follow-ups.
    class Care < Base
      get("/") { view { |room| { care: room.house.care.all.map { |row| Care.row(row, room) } } } }

      post("/") { act(Desk::AddCare, body_as("AddCare")) }

      post("/:id/done") do
        body_as("Nothing")
        act(Desk::DoneCare, { care_id: id_param })
      end

      post("/:id/drop") do
        body_as("Nothing")
        act(Desk::DropCare, { care_id: id_param })
      end

      def self.row(row, room)
        lot = row[:lot_id] && room.house.lots.one(row[:lot_id])
        place_id = row[:place_id] || (lot && lot[:place_id])
        { **row.slice(:id, :title, :lot_id, :every_days, :every_months, :holds_days), place_id: row[:place_id], place: place_id && room.place(place_id)[:name].to_s, next_on: row[:next_on]&.iso8601, done_on: row[:done_on]&.iso8601,
          late_days: row[:next_on] ? [(room.today - row[:next_on]).to_i, 0].max : 0 }
      end
    end

    # What a scanner read.
    class Scans < Base
      post("/") do
        text = body_as("Scan", limit: 4000)[:text]
        caller = caller!
        office.database.within(caller.household_id) { |db| json ScanView.new(Desk::Room.new(office, caller, db)).call(text) }
      end
    end

    # Codes that were learnt.
    class Barcodes < Base
      get("/") { view { |room| { barcodes: room.house.packs.barcodes.map { |row| { code: row[:code], food_id: row[:food_id], food: room.food_row(row[:food_id])[:name].to_s, pack: Core::Wording.free(Core::Quantity.new(row[:amount].to_r, row[:dimension].to_sym)) } } } } }

      post("/") { act(Desk::LearnBarcode, body_as("LearnBarcode")) }
    end

    # Which stacks a recall means, and setting them apart.
    class Recall < Base
      get("/") do
        wanted = { food_id: params[:food_id] && id_param(:food_id), pack_id: params[:pack_id] && id_param(:pack_id), lot_text: words(:lot) }.compact
        view do |room|
          rows = wanted.empty? ? [] : room.house.lots.recalled(**wanted).all
          stacks = StackView.new(room)
          { stacks: rows.map { |row| { stack: stacks.call(row), lot_text: row[:lot_text], place: room.place(row[:place_id])[:name].to_s } } }
        end
      end

      post("/") { act(Desk::Quarantine, body_as("Quarantine")) }

      helpers do
        def words(name)
          text = params[name].to_s.strip
          refuse("invalid", "The lot cannot be used.", "Use up to 60 letters.") if text.length > 60 || text.include?("\u0000") || !text.valid_encoding?
          text.empty? ? nil : text
        end
      end
    end
  end
end
