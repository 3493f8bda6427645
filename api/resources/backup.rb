# frozen_string_literal: true

require_relative "../base"
require_relative "../../store/backup"

module NutShelf
  module Api
    # The whole household as one JSON document.
    class Backup < Base
      get("/") do
        caller = caller!
        refuse("keeper_only", "Only a keeper can do that.", "Ask a keeper of the household.") unless caller.keeper?
        services.database.still(caller.household_id) do |db|
          content_type :json
          attachment "household.json"
          Store::Backup.write(db, caller.household_id)
        end
      end
    end
  end
end
