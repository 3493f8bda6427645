# frozen_string_literal: true

require_relative "../base"
require_relative "../views/season_view"
require_relative "../../desk/acts/plan_season"

module NutShelf
  module Api
    # The season: jars and dried stores against what is eaten until the next harvest.
    class Season < Base
      get("/") { view(:stock, :plan, :people, :rules) { |work| SeasonView.new(work).call } }

      post("/") { act(Desk::PlanSeason, body_as("PlanSeason")) }

      post("/:id") do
        line = { line_id: id_param }
        act(Desk::PlanSeason, { **line, **body_as("ChangeSeason") })
      end
    end
  end
end
