# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Preserving
      # How drying goes: grams a load holds, loads, grams in each and on each tray, days, the day to begin, energy.
      # Frozen.
      DryingPlan = Value.of(:capacity_g, :loads, :per_load_g, :per_tray_g, :days, :start_on, :kwh)

      # Dryer loads before a day (docs/trips.md 3): loads spread evenly, so many a day as its hours hold.
      class Dryer
        # @param drying [Drying]
        # @param hours [Rational] one load takes
        # @param trays [Integer]
        # @param tray_dm2 [Rational] of one tray
        # @param day_hours [Rational] it runs in a day
        # @param watts [Rational, nil]
        def initialize(drying, hours:, trays:, tray_dm2:, day_hours:, watts: nil)
          @drying = drying
          @hours = hours
          @trays = trays
          @capacity = trays * tray_dm2 * drying.load_g_per_dm2
          @day_hours = day_hours
          @watts = watts
        end

        # @param in_g [Rational] what is dried
        # @param needed_on [Date, nil]
        # @return [DryingPlan]
        def call(in_g, needed_on: nil)
          loads = (in_g / @capacity).ceil
          days = days(loads)
          DryingPlan.new(
            capacity_g: @capacity, loads: loads, per_load_g: in_g / loads, per_tray_g: in_g / loads / @trays,
            days: days, start_on: needed_on && (needed_on - @drying.condition_days.ceil - days),
            kwh: @watts && (@watts * @hours * loads / 1000)
          )
        end

        private

        # A load that takes longer than a day's hours goes on the next day.
        def days(loads)
          a_day = (@day_hours / @hours).floor
          a_day.zero? ? loads * (@hours / @day_hours).ceil : (loads / a_day.to_r).ceil
        end
      end
    end
  end
end
