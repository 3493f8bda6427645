# frozen_string_literal: true

require_relative "../../core/trips/learning"

module NutShelf
  module Desk
    module Trips
      # What the trips of the household taught: how much of what is planned gets eaten, and what always comes back.
      class Lessons
        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Array<Store::Rows::Trip>] that are over, in order
        def over
          @over ||= @work.house.trips.all.select { |trip| trip.status == "home" && trip.planned_kcal&.positive? }
        end

        # @return [Rational] of what is planned
        def factor = learning.factor

        # @return [Array<String>] keys of foods
        def leave_out = learning.leave_out(over.map(&:came_back))

        # @return [Rational, nil] grams of gas one's own stove takes for a litre; nil before anybody weighed it
        def g_per_litre
          burnt = over.select { |trip| trip.gas_used_g && trip.boiled_ml }
          learning.g_per_litre(burnt.map { |trip| [trip.gas_used_g.to_r, trip.boiled_ml / 1000] })
        end

        private

        def learning
          @learning ||= Core::Trips::Learning.new(
            over.map do |trip|
              Core::Trips::PastTrip.new(
                planned_kcal: trip.planned_kcal, back_kcal: trip.planned_kcal - (trip.eaten_kcal || 0r)
              )
            end
          )
        end
      end
    end
  end
end
