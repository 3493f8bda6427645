# frozen_string_literal: true

require_relative "../base"
require_relative "../views/stack_detail"
require_relative "../views/stack_view"
require_relative "../views/shelf_page"
%w[
  amend clear correct decant look move open portion prepare put_away quarantine seen set_apart set_level sort_pests
  store_as take take_apart throw top_up
].each { |name| require_relative "../../desk/acts/#{name}" }

module NutShelf
  module Api
    # The shelf, one stack, and what is done with it.
    class Stacks < Base
      # What hands do to one stack: the word of the address, the act, and what it is told.
      DOINGS = {
        take: [Desk::Take, "Take"],
        open: [Desk::Open, "Open"],
        move: [Desk::Move, "Move"],
        throw: [Desk::Throw, "Throw"],
        look: [Desk::Look, "Look"],
        level: [Desk::SetLevel, "Level"],
        prepare: [Desk::Prepare, "Prepare"],
        store: [Desk::StoreAs, "StoreAs"],
        portion: [Desk::Portion, "Portion"],
        decant: [Desk::Decant, "Decant"],
        "top-up": [Desk::TopUp, "TopUp"],
        correct: [Desk::Correct, "Correct"],
        amend: [Desk::Amend, "Amend"],
        clear: [Desk::Clear, "Nothing"],
        seen: [Desk::Seen, "Seen"],
        "set-apart": [Desk::SetApart, "SetApart"],
        "take-apart": [Desk::TakeApart, "TakeApart"],
        "sort-pests": [Desk::SortPests, "SortPests"]
      }.freeze

      get("/") { view(:stock, :rules) { |work| ShelfPage.new(work, shelf_filters).call } }

      post("/") { act_on_stacks(Desk::PutAway, body_as("PutAway")) }

      get("/:id") { view(:stock, :plan, :rules) { |work| StackDetail.new(work, id_param).call } }

      DOINGS.each do |name, (klass, schema)|
        post("/:id/#{name}") { act_on_stacks(klass, { lot_id: id_param, **body_as(schema) }) }
      end

      post("/:id/quarantine") { act_on_stacks(Desk::Quarantine, { lot_ids: [id_param], **body_as("Apart") }) }

      # What one of the above would do to the dates, without doing it.
      post("/:id/foresee") do
        asked = body_as("Foresee")
        klass, schema = DOINGS.fetch(asked[:act].to_sym)
        fitting(asked.fetch(:input, {}), schema)
        json klass.new(services, caller!).foresee({ lot_id: id_param, **asked.fetch(:input, {}) })
      end

      helpers do
        def shelf_filters
          {
            place_id: params[:place_id] && id_param(:place_id),
            food_id: params[:food_id] && id_param(:food_id),
            text: search_text,
            state: params[:state],
            cursor: params[:cursor],
            limit: number_param(:limit, 500, 1..2000)
          }
        end

        def search_text
          text = params[:q].to_s
          if text.length > 200 || text.include?("\u0000") || !text.valid_encoding?
            refuse("invalid", "The search words cannot be used.", "Use up to 200 letters.")
          end
          text.strip.empty? ? nil : text.strip
        end
      end
    end
  end
end
