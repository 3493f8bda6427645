# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/add_place"

module NutShelf
  module Api
    # Where things stand.
    class Places < Base
      get("/") do
        view do |room|
          counts = room.house.lots.count_by_place
          { places: room.places.values.map { |row| { **row.slice(:id, :kind, :tier, :low_c, :high_c, :parent_id), name: row[:name].to_s, stacks: counts.fetch(row[:id], 0) } } }
        end
      end

      post("/") { act(Desk::AddPlace, body_as("AddPlace")) }
    end
  end
end
