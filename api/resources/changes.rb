# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/changes_since"

module NutShelf
  module Api
    # What changed, by topic: one small answer for every device that looks again and again.
    class Changes < Base
      get("/") do
        since = params[:since] && number_param(:since, nil, 0..((2**53) - 1))
        caller = caller!
        services.database.still(caller.household_id) do |db|
          work = Desk::UnitOfWork.new(services, caller, db, still: true)
          found = Desk::ChangesSince.new(work).call(since)
          headers "cache-control" => "private, no-store"
          json({ **found.to_h, today: work.today.iso8601 })
        end
      end
    end
  end
end
