# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/add_care"
require_relative "../../desk/acts/done_care"
require_relative "../../desk/acts/drop_care"

module NutShelf
  module Api
    # Recurring care, checks and follow-ups.
    class Care < Base
      get("/") do
        view(:plan, :stock, :rules) { |work| { care: work.house.care.all.map { |row| Care.row(row, work) } } }
      end

      post("/") { act(Desk::AddCare, body_as("AddCare")) }

      post("/:id/done") do
        body_as("Nothing")
        act(Desk::DoneCare, { care_id: id_param })
      end

      post("/:id/drop") do
        body_as("Nothing")
        act(Desk::DropCare, { care_id: id_param })
      end

      def self.row(row, work)
        {
          **row.slice(:id, :title, :lot_id, :every_days, :every_months, :holds_days),
          place_id: row.place_id,
          place: row.where_id && work.place(row.where_id).name,
          next_on: row.next_on&.iso8601,
          done_on: row.done_on&.iso8601,
          late_days: row.next_on ? [(work.today - row.next_on).to_i, 0].max : 0
        }
      end
    end
  end
end
