# frozen_string_literal: true

require_relative "../base"
require_relative "../views/box_view"
require_relative "../views/place_check_view"
require_relative "../views/place_view"
require_relative "../../core/fitting/boxes"
require_relative "../../desk/acts/add_photo"
require_relative "../../desk/acts/add_place"
require_relative "../../desk/acts/change_place"
require_relative "../../desk/acts/check_place"
require_relative "../../desk/acts/refresh_box"
require_relative "../../desk/acts/set_box_want"
require_relative "../../desk/acts/switch_place"
require_relative "../../desk/acts/remove_place"

module NutShelf
  module Api
    # Where things stand: what each place is like, what is wrong there, what fits.
    class Places < Base
      get("/") do
        view(:stock, :plan, :people, :rules) do |work|
          counts = work.house.lots.stacks_by_place
          photos = work.house.places.photo_ids
          { places: work.places.values.map { |row| PlaceView.row(row, counts.fetch(row.id, 0), photos.key?(row.id)) } }
        end
      end

      post("/") { act(Desk::AddPlace, body_as("AddPlace")) }

      get("/:id") { view(:stock, :plan, :people, :rules) { |work| PlaceView.new(work, id_param).call } }

      post("/:id/change") { act(Desk::ChangePlace, { place_id: id_param, **body_as("ChangePlace") }) }

      post("/:id/remove") do
        body_as("Nothing")
        act(Desk::RemovePlace, { place_id: id_param })
      end

      post("/:id/photo") { act(Desk::AddPhoto, { place_id: id_param, **body_as("AddPhoto") }) }

      get("/:id/photo") do
        caller = caller!
        services.database.within(caller.household_id) do |db|
          photo = Store::House.new(db, caller.household_id).places.photo(id_param) or
            refuse("not_found", "There is no picture of it.", "Take one.")
          picture(photo)
        end
      end

      get("/:id/box") { view(:stock, :plan, :rules) { |work| BoxView.new(work, id_param).call } }

      post("/:id/box") { act(Desk::SetBoxWant, { place_id: id_param, **body_as("SetBoxWant") }) }

      post("/:id/box/refresh") { act_on_stacks(Desk::RefreshBox, { place_id: id_param }) }

      get("/:id/check") { view(:stock, :plan, :rules) { |work| PlaceCheckView.new(work, id_param).call } }

      post("/:id/check") { act_on_stacks(Desk::CheckPlace, { place_id: id_param, **body_as("CheckPlace") }) }

      post("/:id/switch") { act_on_stacks(Desk::SwitchPlace, { place_id: id_param, **body_as("SwitchPlace") }) }

      post("/:id/fit") do
        input = body_as("Fit")
        caller = caller!
        services.database.within(caller.household_id) { |db| json fit(Desk::UnitOfWork.new(services, caller, db), input) }
      end

      helpers do
        def fit(work, input)
          place = work.house.places.find(id_param)
          shelf = input[:shelf_mm] || place.inner_mm&.to_a or
            refuse(
              "unknown_figure",
              "Nobody has measured #{place.name} yet.",
              "Measure its inside once: width, depth, height."
            )
          boxes = Core::Boxes.new(shelf: shelf, box: input[:box_mm], upright: input.fetch(:upright, true))
          { count: boxes.count, steps: boxes.steps }
        end
      end
    end
  end
end
