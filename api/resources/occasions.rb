# frozen_string_literal: true

require_relative "../base"
require_relative "../views/occasion_view"
require_relative "../../desk/acts/archive_occasion"
require_relative "../../desk/acts/hold_occasion"
require_relative "../../desk/acts/keep_occasion"
require_relative "../../desk/acts/note_occasion"

module NutShelf
  module Api
    # Meals that come round: birthdays, feasts, the last Sunday of a month.
    class Occasions < Base
      get("/") { view(:plan, :people) { |work| { occasions: OccasionView.new(work).list } } }

      post("/") { act(Desk::KeepOccasion, body_as("KeepOccasion")) }

      get("/:id") do
        id = id_param
        on = day_param(:on)
        view(:stock, :plan, :people, :rules) { |work| OccasionView.new(work).one(id, on) }
      end

      post("/:id") { act(Desk::KeepOccasion, { **body_as("KeepOccasion"), occasion_id: id_param }) }

      post("/:id/hold") { act(Desk::HoldOccasion, { occasion_id: id_param, **body_as("HoldOccasion") }) }

      post("/:id/note") { act(Desk::NoteOccasion, { occasion_id: id_param, **body_as("NoteOccasion") }) }

      post("/:id/archive") do
        body_as("Nothing")
        act(Desk::ArchiveOccasion, { occasion_id: id_param })
      end
    end
  end
end
