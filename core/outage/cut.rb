# frozen_string_literal: true

require_relative "../value"
require_relative "curve"

module NutShelf
  module Core
    module Outage
      # A power cut: when it began, when it ended (or now), readings of fridge and freezer, and how full the freezer is.
      # Frozen.
      Cut =
        Value.of(:start, :ends, fridge: [].freeze, freezer: [].freeze, fill: 1r) do
          # @return [Rational] hours in the dark
          def hours = Curve.hours(start, ends)

          # @param figures [Figures]
          # @return [Curve, nil] of the fridge
          def fridge_curve(figures) = Curve.of(start, ends, figures.usual("fridge-temperature"), fridge)

          # @param figures [Figures]
          # @return [Curve, nil] of the freezer
          def freezer_curve(figures) = Curve.of(start, ends, figures.usual("freezer-temperature"), freezer)

          # @param figures [Figures]
          # @return [Rational] hours a freezer so full stays cold enough while it is shut
          def hours_allowed(figures) = figures.usual("freezer-hours-full") * fill
        end

      # What stood in fridge or freezer: `finding` :hard, :icy, :cold or :warm where somebody felt it, with the hours it
      # has been warm (nil: nobody knows). Frozen.
      Item = Value.of(:id, :food, :situation, :place, :usable_until, :finding, :warm_hours)

      # What to do with an item, and the rule that says so. Frozen.
      Verdict = Value.of(:item, :act, :rule)
    end
  end
end
