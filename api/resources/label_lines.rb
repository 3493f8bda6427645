# frozen_string_literal: true

require_relative "../base"
require_relative "../views/draft_view"

module NutShelf
  module Api
    # What a line of plain words says. Changes nothing.
    class LabelLines < Base
      post("/") do
        text = body_as("LabelLine")[:text]
        caller = caller!
        office.database.within(caller.household_id) { |db| json DraftView.new(Desk::Room.new(office, caller, db)).call(text) }
      end
    end
  end
end
