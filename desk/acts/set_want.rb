# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"
require_relative "../shopping/wants"

module NutShelf
  module Desk
    # What this household always wants in the house of a food: an amount or weeks of what it uses, a floor it is filled
    # up from, a place on the list that is ticked as things run out; the largest pack that is bought, in grams, and
    # whether it is frozen as it comes home.
    class SetWant < Act
      keeper_only
      AMOUNTS = %i[par par_weeks floor largest].freeze

      private

      # @param input [Hash] :food_id, any of :par, :par_weeks, :floor, :largest (decimal text or nil), :standing,
      #   :freeze
      def perform(input)
        food = work.food_row(input[:food_id])
        changes = {
          **input.slice(*AMOUNTS).transform_values { |text| text&.to_r }, **input.slice(:standing, :freeze)
        }
        # Of no size at all: any pack will do.
        changes[:largest] = nil if changes[:largest]&.zero?
        want = house.shopping.want(food.id)
        raise Refusal.of(:says_that_already) if Wants.same?(want, changes)

        both = %i[par par_weeks].all? { |name| changes.fetch(name) { want&.public_send(name) } }
        raise Refusal.of(:par_said_twice, at: "/par_weeks") if both

        set = entry("set_want", "What is wanted of #{food.name}")
        Wants.change(set, house, food.id, changes)
        done(set, food_id: food.id)
      end
    end
  end
end
