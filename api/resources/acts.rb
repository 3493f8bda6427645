# frozen_string_literal: true

require_relative "../base"
require_relative "../views/act_view"
require_relative "../../desk/acts/undo"

module NutShelf
  module Api
    # What was done lately, and taking it back.
    class Acts < Base
      get("/") do
        view { |work| { acts: work.house.ledger.recent.map { |row| ActView.row(row, work.caller.account_id) } } }
      end

      post("/:id/undo") do
        body_as("Nothing")
        act_on_stacks(Desk::Undo, { act_id: id_param })
      end
    end
  end
end
