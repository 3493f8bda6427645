# frozen_string_literal: true

require_relative "../kits/box_check"
require_relative "../kits/warm_box"
require_relative "../value"

module NutShelf
  module Core
    module Trips
      # Packs of one food in a standing box, or on the own shelf: how many, their date, in the box since. Frozen.
      BoxLot = Value.of(:id, :count, :good_until, :in_since, set_apart: false)

      # A line of the box: how many are wanted, what stands there, what the shelf has. Frozen.
      BoxLine = Value.of(:food, :want, lots: [].freeze, shelf: [].freeze)

      # What leaves: how many of which stack, eaten by when. Frozen.
      Leaving = Value.of(:id, :count, :eat_by)

      # A line refreshed: packs that stay, what comes out, packs by stack that go in, packs to buy and the date they
      # must carry, whether it will freeze there. Frozen.
      RefreshedLine = Value.of(:food, :stays, :out, :in, :buy, :buy_dated, :will_freeze)

      # A box that stands in a camper or a car for a year (docs/trips.md 6): what stays, comes out, goes in and is
      # bought, by the heat of its place.
      class StandingBox
        # @param refresh_on [Date]
        # @param margin_days [Integer]
        # @param high_c [Integer, nil] the warmest it gets there
        # @param low_c [Integer, nil]
        def initialize(refresh_on:, margin_days:, high_c: nil, low_c: nil)
          @on = refresh_on
          @margin = margin_days
          @high = high_c
          @low = low_c
        end

        # @return [Date] inside, dates must reach it
        def must_reach = (@on >> 12) + @margin

        # @return [Date]
        def half_year_check = Kits::BoxCheck.due(@on)

        # @return [Rational]
        def heat_factor = Kits::WarmBox.factor(@high)

        # @param line [BoxLine]
        # @return [RefreshedLine]
        def call(line)
          stay, leave = line.lots.map { |lot| [lot, so_far(lot)] }.partition { |_, date| reaches?(date) }
          stays = stay.sum { |lot, _| lot.count }
          fetched = fetch(line, [line.want - stays, 0].max)
          buy = [line.want - stays - fetched.values.sum, 0].max
          RefreshedLine.new(
            food: line.food, stays: stays, in: fetched, buy: buy, buy_dated: (buy_dated if buy.positive?),
            out: leave.map { |lot, date| Leaving.new(id: lot.id, count: lot.count, eat_by: date) }.freeze,
            will_freeze: !@low.nil? && @low.negative? && line.food.freezing_damage
          )
        end

        private

        def so_far(lot)
          Kits::WarmBox.so_far(lot.good_until, since: lot.in_since || @on, today: @on, high_c: @high)
        end

        def reaches?(date) = Kits::WarmBox.inside(date, from: @on, high_c: @high) >= must_reach

        # The earliest that reaches.
        def fetch(line, want)
          order = line.shelf.reject(&:set_apart).select { |lot| reaches?(lot.good_until) }
            .sort_by { |lot| [lot.good_until, lot.id.to_s] }
          order.each_with_object({}) do |lot, taken|
            count = [lot.count, want - taken.values.sum].min
            taken[lot.id] = count if count.positive?
          end
        end

        def buy_dated = Kits::WarmBox.needed(must_reach, from: @on, high_c: @high)
      end
    end
  end
end
