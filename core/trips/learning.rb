# frozen_string_literal: true

require_relative "../preserving/next_time"
require_relative "../value"

module NutShelf
  module Core
    module Trips
      # What a trip was planned with and what came back of it, in kcal. Frozen.
      PastTrip =
        Value.of(:planned_kcal, :back_kcal) do
          # @return [Rational] what was eaten of what was planned
          def eaten = (planned_kcal - back_kcal) / planned_kcal
        end

      # What trips teach (docs/trips.md 5): how much of what is planned gets eaten, what always comes back, how one's
      # own stove burns.
      class Learning
        LAST = 7
        ENOUGH = 3
        # A factor stays within these, whatever one odd trip was like.
        LEAST = 7/10r
        MOST = 6/5r
        # Of so many trips, this often brought back, it is left out.
        OF_LAST = 3
        OFTEN = 2

        # @param trips [Array<PastTrip>] in the order they were made
        def initialize(trips)
          @trips = trips
        end

        # @return [Array<Rational>]
        def eaten = @trips.map(&:eaten)

        # @return [Rational]
        def factor
          last = eaten.last(LAST)
          Preserving::Median.of(last.size < ENOUGH ? [*last, 1r] : last).clamp(LEAST, MOST)
        end

        # @param foods_back [Array<Array<String>>] keys that came home, trip by trip
        # @return [Array<String>]
        def leave_out(foods_back)
          foods_back.last(OF_LAST).flat_map(&:uniq).tally.select { |_, often| often >= OFTEN }.keys.sort
        end

        # @param burnt [Array<Array(Rational, Rational)>] grams of gas and litres boiled
        # @return [Rational, nil] grams a litre
        def g_per_litre(burnt)
          Preserving::Median.of(burnt.map { |grams, litres| grams / litres }) if burnt.any?
        end
      end
    end
  end
end
