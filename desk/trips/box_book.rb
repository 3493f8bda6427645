# frozen_string_literal: true

require_relative "../../core/trips/standing_box"
require_relative "../../core/value"
require_relative "../belonging"
require_relative "../plan"
require_relative "../stood_since"

module NutShelf
  module Desk
    module Trips
      # A box that stands in a car or a camper: what it should hold, and what a refresh today keeps, takes out, puts in
      # and has bought, by the heat of its place. What stands there without a date, or must be looked at, comes out.
      class BoxBook
        MARGIN_DAYS = 30
        # A line with the stacks it names. Frozen.
        Line = Core::Value.of(:want, :food, :refreshed, undated: [].freeze)

        attr_reader :place

        # @param work [UnitOfWork]
        # @param place [Core::Place]
        def initialize(work, place)
          @work = work
          @place = place
          @plan = Plan.new(work)
        end

        # @return [Core::Trips::StandingBox] refreshed today
        def box
          @box ||= Core::Trips::StandingBox.new(
            refresh_on: @work.today, margin_days: MARGIN_DAYS, high_c: place.high_c, low_c: place.low_c
          )
        end

        # @return [Array<Store::Rows::BoxWant>]
        def wants = @wants ||= @work.house.trips.box_wants(place.id)

        # @return [Array<Line>]
        def lines = @lines ||= wants.map { |want| line(want) }.sort_by { |one| one.food.name }

        # @param id [Integer]
        # @return [Core::Stack]
        def stack(id) = @plan.shelf.stacks.fetch(id)

        # @param stack [Core::Stack]
        # @param packs [Integer]
        # @return [Rational] in the stack's own units
        def amount(stack, packs) = [stack.open ? stack.on_hand : (stack.pack_amount || 1r) * packs, stack.on_hand].min

        private

        def line(want)
          food = @work.food(want.food_id)
          here, elsewhere = stacks(want.food_id).partition { |stack| stack.place_id == place.id }
          dated, undated = here.partition { |stack| stack.usable_until && stack.eligible?(@work.today) }
          refreshed = box.call(
            Core::Trips::BoxLine.new(
              food: food, want: want.packs, lots: dated.map { |stack| lot(stack) },
              shelf: elsewhere.select { |stack| fit?(stack) }.map { |stack| lot(stack) }
            )
          )
          Line.new(want: want, food: food, refreshed: refreshed, undated: undated)
        end

        def stacks(food_id)
          @plan.shelf.stacks.each_value.select { |stack| stack.food_id == food_id && packs(stack).positive? }
        end

        # Sealed packs of the own shelf, set apart for nothing.
        def fit?(stack)
          stack.usable_until && !stack.open && stack.free == stack.on_hand && stack.eligible?(@work.today) &&
            !@work.place(stack.place_id).set_apart?
        end

        # An open pack counts as one.
        def packs(stack)
          return 0 if stack.level
          return stack.on_hand.positive? ? 1 : 0 if stack.open

          (stack.on_hand / (stack.pack_amount || 1r)).floor
        end

        def lot(stack)
          Core::Trips::BoxLot.new(
            id: stack.id, count: packs(stack), good_until: stack.usable_until,
            in_since: StoodSince.day(@work.house.lots.one(stack.id), stack.place_id)
          )
        end
      end
    end
  end
end
