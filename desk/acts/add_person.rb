# frozen_string_literal: true

require_relative "../act"

module NutShelf
  module Desk
    # Somebody who eats here: how much, what never, and whether by the date only.
    class AddPerson < Act
      keeper_only
      FIELDS = %i[name portion_factor strict eats excludes note].freeze

      private

      # @param input [Hash] FIELDS
      def perform(input)
        added = entry("add_person", "#{input[:name].strip} eats here")
        id = added.make("person", facts(input))
        done(added, person_id: id)
      end

      def facts(input)
        input.slice(*FIELDS).to_h { |name, value| [name, name == :portion_factor ? value.to_r : value] }
      end
    end
  end
end
