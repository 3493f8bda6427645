# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # An animal of the house, for whom kits hold food and water; or one that lives here no more.
    class KeepPet < Act
      keeper_only

      private

      # @param input [Hash] :pet_id (nil: a new one) with :version, :name, :species, :kg (decimal text or nil), :gone
      def perform(input)
        input[:pet_id] ? change(input) : add(input)
      end

      def add(input)
        kept = entry("keep_pet", "#{input[:name].strip} lives here")
        done(kept, pet_id: kept.make("pet", facts(input)))
      end

      def change(input)
        pet = house.records.lock("pet", input[:pet_id])
        refuse_stale(pet, input[:version], { name: pet.name, species: pet.species })
        changes = facts(input).reject { |name, value| pet.public_send(name) == value }
        changes[:archived_at] = Time.now.utc.iso8601 if input[:gone]
        raise Refusal.of(:says_that_already) if changes.empty?

        kept = entry("keep_pet", input[:gone] ? "#{pet.name} does not live here any more" : "Changed #{pet.name}")
        kept.alter("pet", pet, changes)
        done(kept, pet_id: pet.id)
      end

      def facts(input)
        input.slice(:name, :species, :kg).to_h { |name, value| [name, name == :kg ? value&.to_r : value.strip] }
      end
    end
  end
end
