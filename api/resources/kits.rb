# frozen_string_literal: true

require_relative "../base"
require_relative "../views/kit_closing_view"
require_relative "../views/kit_layout_view"
require_relative "../views/kit_refresh_view"
require_relative "../views/kit_view"
require_relative "../views/kits_view"
require_relative "../views/lasting_view"
require_relative "../../desk/acts/close_gap"
require_relative "../../desk/acts/eat_kit_meal"
require_relative "../../desk/acts/keep_pet"
require_relative "../../desk/acts/pack_box"
require_relative "../../desk/acts/refresh_kit"
require_relative "../../desk/acts/set_kit"

module NutShelf
  module Api
    # Kits: ready without power, water or shops.
    class Kits < Base
      TOPICS = %i[stock plan people list rules].freeze

      get("/") { view(*TOPICS) { |work| KitsView.new(work).call } }

      post("/") { act(Desk::SetKit, body_as("SetKit")) }

      get("/lasting") do
        fill = number_param(:freezer, 100, 0..100)
        view(*TOPICS) { |work| LastingView.new(work, kit: asked_kit(work), freezer_fill: fill/100r).call }
      end

      post("/pets") { act(Desk::KeepPet, body_as("KeepPet")) }

      post("/pets/:id/change") { act(Desk::KeepPet, { pet_id: id_param, **body_as("ChangePet") }) }

      get("/:id") { view(*TOPICS) { |work| KitView.new(work, work.house.kits.find(id_param)).call } }

      post("/:id/change") { act(Desk::SetKit, { kit_id: id_param, **body_as("ChangeKit") }) }

      get("/:id/closing") do
        own = params[:shelf] != "leave"
        view(*TOPICS) { |work| KitClosingView.new(work, work.house.kits.find(id_param), own_shelf: own).call }
      end

      get("/:id/menu") { layout(&:menu) }

      get("/:id/boxes") { layout(&:boxes) }

      get("/:id/refresh") do
        view(*TOPICS) { |work| KitRefreshView.new(work, kit_of_boxes(work)).call }
      end

      post("/:id/refresh") { act_on_stacks(Desk::RefreshKit, { kit_id: id_param, **body_as("RefreshKit") }) }

      post("/:id/pack") { act_on_stacks(Desk::PackBox, { kit_id: id_param, **body_as("PackBox") }) }

      post("/:id/eaten") { act_on_stacks(Desk::EatKitMeal, { kit_id: id_param, **body_as("EatKitMeal") }) }

      post("/:id/close") { act(Desk::CloseGap, { kit_id: id_param, **body_as("CloseGap") }) }

      helpers do
        # A deep pantry has no refresh: it is eaten from all year.
        def kit_of_boxes(work)
          kit = work.house.kits.find(id_param)
          return kit if kit.school == "set_apart"

          refuse("not_fit", "A deep pantry has no refresh day.", "It is eaten and replaced all year.")
        end

        def layout
          view(*TOPICS) { |work| yield KitLayoutView.new(work, work.house.kits.find(id_param)) }
        end

        # The kit whose stove and people count: the one asked for, else the first.
        def asked_kit(work)
          params[:kit] ? work.house.kits.find(id_param(:kit)) : work.house.kits.all.first
        end
      end
    end
  end
end
