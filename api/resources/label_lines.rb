# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/day"
require_relative "../views/draft_view"

module NutShelf
  module Api
    # What a line of plain words says. Changes nothing.
    class LabelLines < Base
      post("/") do
        asked = body_as("LabelLine")
        caller = caller!
        services.database.still(caller.household_id) do |db|
          work = Desk::UnitOfWork.new(services, caller, db, envelope: written(asked[:on]), still: true)
          json DraftView.new(work).call(asked[:text], filling: asked[:filling_place_id])
        end
      end

      helpers do
        # A line that waited is read as on the day it was written.
        def written(on)
          day = Desk::Day.read(:on, on)
          day ? Desk::Envelope.new(on: day, held: true) : Desk::Envelope::NONE
        end
      end
    end
  end
end
