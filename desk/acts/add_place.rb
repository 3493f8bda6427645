# frozen_string_literal: true

require_relative "../act"
require_relative "../in_celsius"
require_relative "../refusal"

module NutShelf
  module Desk
    # A new place: cupboard, shelf, fridge, box.
    class AddPlace < Act
      keeper_only

      private

      # @param input [Hash] :name, :kind, :tier, :low_c, :high_c, :parent_id; :degrees "f" where they are Fahrenheit
      def perform(input)
        input = InCelsius.of(input)
        work.place_in_use(input[:parent_id], pointer: "/parent_id") if input[:parent_id]
        if input[:low_c] && input[:high_c] && input[:low_c] > input[:high_c]
          raise Refusal.of(:upside_down, at: "/low_c")
        end

        facts = input.slice(:name, :kind, :tier, :low_c, :high_c, :parent_id).compact
        id = house.places.add(**facts)
        added = entry("add_place", "New place: #{input[:name]}", subject: id)
        added.made("place", id, facts)
        done(added, place_id: id)
      end
    end
  end
end
