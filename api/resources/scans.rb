# frozen_string_literal: true

require_relative "../base"
require_relative "../views/scan_view"

module NutShelf
  module Api
    # What a scanner read.
    class Scans < Base
      post("/") do
        text = body_as("Scan")[:text]
        caller = caller!
        services
          .database
          .within(caller.household_id) { |db| json ScanView.new(Desk::UnitOfWork.new(services, caller, db)).call(text) }
      end
    end
  end
end
