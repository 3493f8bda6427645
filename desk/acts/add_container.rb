# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # Jars, tubs or boxes of one size, so many of them.
    class AddContainer < Act
      private

      # @param input [Hash] :name, :kind, :capacity_ml, :owned, :shape, :tare_g, :full_at, :place_id
      def perform(input)
        work.place_in_use(input[:place_id]) if input[:place_id]
        added = entry("add_container", "New: #{input[:owned] || 1} x #{input[:name].strip}")
        id =
          added.make(
            "container",
            {
              **input.slice(:kind, :capacity_ml, :owned, :shape, :tare_g, :full_at, :place_id),
              name: input[:name].strip
            }
          )
        done(added, container_id: id)
      end
    end
  end
end
