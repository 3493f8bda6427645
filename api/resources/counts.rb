# frozen_string_literal: true

require_relative "../base"
require_relative "../views/count_view"
require_relative "../../desk/places_due"
require_relative "../../desk/commands/clear_line"
require_relative "../../desk/commands/enter_line"
require_relative "../../desk/commands/enter_rest"
require_relative "../../desk/acts/finish_count"
require_relative "../../desk/commands/start_count"
require_relative "../../desk/commands/throw_count"

module NutShelf
  module Api
    # Counting places: which are due, counts under way, what was found, and the end.
    class Counts < Base
      get("/") { view { |work| overview(work) } }

      post("/") { act(Desk::StartCount, body_as("StartCount")) }

      get("/:id") { view { |work| CountView.new(work, work.house.counts.find(id_param)).call } }

      get("/:id/differences") do
        view { |work| { differences: CountView.new(work, work.house.counts.find(id_param)).differences } }
      end

      post("/:id/lines") { act(Desk::EnterLine, { count_id: id_param, **body_as("CountLine") }) }

      post("/:id/clear") { act(Desk::ClearLine, { count_id: id_param, **body_as("ClearLine") }) }

      post("/:id/rest") { act(Desk::EnterRest, { count_id: id_param, **body_as("CountRest") }) }

      post("/:id/finish") { act(Desk::FinishCount, { count_id: id_param, **body_as("FinishCount") }) }

      post("/:id/throw") do
        body_as("Nothing")
        act(Desk::ThrowCount, { count_id: id_param })
      end

      helpers do
        def overview(work)
          due = Desk::PlacesDue.new(work).all
          counts = work.house.lots.stacks_by_place
          sizes = work.house.counts.sizes
          {
            places: work.places.values.map { |place| place(place, due.fetch(place.id), counts.fetch(place.id, 0)) },
            open:
              work.house.counts.open.map do |count|
                {
                  id: count.id,
                  place_id: count.place_id,
                  place: work.place(count.place_id).name,
                  person: count.person,
                  started_at: count.started_at.utc.iso8601,
                  lines: sizes.fetch(count.id, 0)
                }
              end
          }
        end

        def place(place, due, stacks)
          {
            id: place.id,
            name: place.name,
            kind: place.kind,
            tier: place.tier,
            parent_id: place.parent_id,
            stacks: stacks,
            counted_on: place.counted_on&.iso8601,
            due: due.due,
            reason: due.reason
          }
        end
      end
    end
  end
end
