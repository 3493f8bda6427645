# frozen_string_literal: true

require_relative "../base"
require_relative "../views/event_view"
require_relative "../../desk/acts/set_event"
require_relative "../../desk/acts/tick_task"

module NutShelf
  module Api
    # The hours before an event: scheduled backward from its hour, ticked as they are done.
    class Events < Base
      get("/") do
        now = moment_param(:now)
        read_only { |work| json(events: work.house.kits.events.map { |one| EventView.new(work, one, now: now).call }) }
      end

      post("/") { act(Desk::SetEvent, body_as("SetEvent")) }

      post("/:id/change") { act(Desk::SetEvent, { event_id: id_param, **body_as("ChangeEvent") }) }

      post("/:id/tick") { act(Desk::TickTask, { event_id: id_param, **body_as("TickTask") }) }
    end
  end
end
