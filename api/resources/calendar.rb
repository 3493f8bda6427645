# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/calendar_entries"
require_relative "../../desk/thawing"
require_relative "../../desk/plan"
require_relative "../../store/access"

module NutShelf
  module Api
    # The private calendar feed: making, ending, and reading it without a sign-in.
    class Calendar < Base
      set :open_door, true

      get("/:token.ics") do
        token = params[:token].to_s
        household =
          token.match?(/\A[A-Za-z0-9_-]{20,80}\z/) && services.database.outside { |db| Store::Access.calendar(db, token) }
        household or refuse("not_found", "There is no such calendar.", "Ask for a new address.")
        services.database.within(household) do |db|
          content_type "text/calendar", charset: "utf-8"
          headers "cache-control" => "private, no-cache"
          feed(Desk::UnitOfWork.new(services, Desk::Caller.new(account_id: 0, household_id: household, role: "helper"),
            db))
        end
      end

      helpers do
        def feed(work)
          Exchange::CalendarFeed.new(work.household.name, work.today.to_time.utc, house: work.household.uid).write(
            Desk::CalendarEntries.new(work, Desk::Plan.new(work)).entries
          )
        end
      end
    end
  end
end
