# frozen_string_literal: true

require_relative "../switching"

module NutShelf
  module Desk
    module Trips
      # Fridges and freezers that stand empty once a trip is over: a camper's, a box in the car. The last thing to do
      # then is to switch them off.
      class TravellingCold
        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param besides [Array<Integer>] stacks that do not stay there
        # @return [Array<Core::Place>] that hold nothing else, by name
        def places(besides)
          cold = @work.places.values.select { |place| Switching::COLD.include?(place.kind) }
          cold.sort_by(&:name).reject { |place| @work.house.lots.any_in?(inside(place), besides) }
        end

        # @param place [Core::Place]
        # @return [Boolean] whether nothing is in it, or built into it
        def empty?(place) = !@work.house.lots.any_in?(inside(place))

        private

        def inside(place) = @work.house.places.within(place.id)
      end
    end
  end
end
