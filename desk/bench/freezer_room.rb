# frozen_string_literal: true

require_relative "../../core/quantity/quantity"
require_relative "../../core/value"

module NutShelf
  module Desk
    module Bench
      # Whether portions fit into the freezer: millilitres they need, and what was said to be free in it.
      class FreezerRoom
        # Of food nobody knows the density of.
        WATER = 1r

        # @param work [UnitOfWork]
        # @param place_id [Integer, nil] where they are frozen
        # @param grams [Rational] of all portions that go there
        # @param food [Core::Food, nil]
        def initialize(work, place_id, grams, food = nil)
          @work = work
          @place = place_id && work.place(place_id)
          @ml = grams / (food&.g_per_ml || WATER)
        end

        # @return [Hash, nil] nil where nothing is frozen, or nobody measured that freezer
        def call
          free = @place&.free_ml
          return unless free && @ml.positive?

          { place: @place.name, needs: size((@ml / 100).ceil), free: size((free / 100).floor), fits: @ml <= free }
        end

        private

        def size(tenths) = @work.size(Core::Quantity.new(tenths.to_r * 100, :volume))
      end
    end
  end
end
