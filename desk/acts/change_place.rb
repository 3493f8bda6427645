# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../in_celsius"
require_relative "../refusal"

module NutShelf
  module Desk
    # Changes what is known of a place: name, kind, temperatures, light, how far it is, its size, how full it is, how
    # often it is counted, which box of which kit it is. Where dates depend on it, they follow.
    class ChangePlace < Act
      keeper_only
      FIELDS = %i[
        name kind tier low_c high_c dark reach parent_id inner_mm fill_percent count_every_days note kit_id kit_box
      ].freeze

      private

      # @param input [Hash] :place_id, :version the person saw, any of FIELDS; :degrees "f" where they are Fahrenheit
      def perform(input)
        input = InCelsius.of(input)
        place = house.records.lock("place", input[:place_id])
        refuse_stale(
          place,
          input[:version],
          place.slice(*FIELDS).transform_values { |value| value.is_a?(Array) ? value : value&.to_s }
        )
        changes = input.slice(*FIELDS).reject { |name, value| place.public_send(name) == value }
        raise Refusal.of(:says_that_already) if changes.empty?

        check(place, changes)
        changes[:fill_said_on] = work.today if changes.key?(:fill_percent)
        changed = entry("change_place", "Changed #{place.name}#{" to #{changes[:name]}" if changes[:name]}")
        changed.alter("place", place, changes)
        done(changed, place_id: place.id, redated: RedateStacks.new(work, changed).follow)
      end

      def check(place, changes)
        after = place.with(**changes)
        raise Refusal.of(:upside_down, at: "/low_c") if after.upside_down?
        raise Refusal.of(:switched_off, at: "/kind") if place.off? && changes.key?(:kind)

        house.kits.find(changes[:kit_id]) if changes[:kit_id]
        raise Refusal.of(:box_of_no_kit, at: "/kit_box") if after.kit_box && after.kit_id.nil?
        return unless changes[:parent_id]

        work.place_in_use(changes[:parent_id], pointer: "/parent_id")
        return unless house.places.within(place.id).include?(changes[:parent_id])

        raise Refusal.of(:place_in_itself, at: "/parent_id")
      end
    end
  end
end
