# frozen_string_literal: true

require_relative "../act"
require_relative "../day"

module NutShelf
  module Desk
    # Somebody who eats here: how much, what never, and whether by the date only.
    class AddPerson < Act
      keeper_only
      FIELDS = %i[
        name portion_factor strict eats excludes note born_on age sex kg activity pregnant nursing formula_fed dislikes
      ].freeze

      private

      # @param input [Hash] FIELDS
      def perform(input)
        added = entry("add_person", "#{input[:name].strip} eats here")
        id = added.make("person", facts(input))
        done(added, person_id: id)
      end

      def facts(input)
        told = input.slice(*FIELDS).to_h { |name, value| [name, typed(name, value)] }
        return told unless told.key?(:age)

        # An age is of a day: it grows by itself.
        { **told, age_on: told[:age] && work.today }
      end

      def typed(name, value)
        return value.to_r if %i[portion_factor kg].include?(name) && value
        return Day.read(name, value) if name == :born_on

        value
      end
    end
  end
end
