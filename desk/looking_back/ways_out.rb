# frozen_string_literal: true

require_relative "../../core/looking_back/compost"
require_relative "../refusal"

module NutShelf
  module Desk
    module LookingBack
      # Where something can go that nobody eats here: whether there are a heap and animals, the household says; whether
      # a food goes onto a heap, the food does.
      class WaysOut
        SETTINGS = { "composted" => "composts", "animals" => "animals" }.freeze
        CALLED = { "composted" => "compost heap", "animals" => "animals to feed" }.freeze
        ALL = %w[binned composted given_away animals].freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param food [Core::Food]
        # @return [Array<String>] outcomes that can be
        def of(food)
          ALL.select { |way| here?(way) && (way != "composted" || Core::Compost.fits?(food)) }
        end

        # @param food [Core::Food]
        # @param way [String] an outcome
        # @raise [Conflict] where it cannot go there
        def check(food, way)
          raise Refusal.of(:no_such_outcome, at: "/outcome", where: CALLED.fetch(way)) unless here?(way)
          return if way != "composted" || Core::Compost.fits?(food)

          raise Refusal.of(:not_for_compost, at: "/outcome", food: food.name)
        end

        private

        def here?(way) = !SETTINGS.key?(way) || @work.household.settings.fetch(SETTINGS.fetch(way), true)
      end
    end
  end
end
