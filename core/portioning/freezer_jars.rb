# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Portioning
      # Liquid for the freezer: millilitres in each jar, jars it takes. Frozen.
      JarsFilled = Value.of(:fill_ml, :jars)

      # How far jars are filled that freeze, by their shape and size (docs/trips.md 1), and how flat a bag lies.
      class FreezerJars
        # Up to that many millilitres a jar counts as small.
        SMALL = 500
        ROWS = {
          %w[straight small] => "headspace-wide-straight", %w[straight large] => "headspace-wide-straight-large",
          %w[shouldered small] => "headspace-narrow-small", %w[shouldered large] => "headspace-narrow-large"
        }.freeze

        # @param figures [Kits::Figures]
        def initialize(figures)
          @figures = figures
        end

        # @param ml [Rational] of liquid
        # @param shape [String] "straight" or "shouldered"
        # @param capacity_ml [Rational] of one jar
        # @return [JarsFilled]
        def call(ml, shape:, capacity_ml:)
          fill = capacity_ml * (1 - headspace(shape: shape, capacity_ml: capacity_ml))
          JarsFilled.new(fill_ml: fill, jars: (ml / fill).ceil)
        end

        # @param shape [String]
        # @param capacity_ml [Rational]
        # @return [Rational] of a jar that stays free, for what freezes swells
        def headspace(shape:, capacity_ml:)
          size = capacity_ml <= SMALL ? "small" : "large"
          @figures.usual(ROWS.fetch([shape, size]))
        end

        # @param ml [Rational]
        # @param width_mm [Rational]
        # @param height_mm [Rational]
        # @return [Rational] millimetres a bag is thick that is pressed flat
        def thickness_mm(ml, width_mm:, height_mm:) = 1000 * ml / (width_mm * height_mm)
      end

      # What an animal's portion may not hold, whatever people like: onions and their kin, chocolate, grapes.
      module PetSafe
        NEVER = /onion|garlic|leek|chives|chocolate|cocoa|grape|raisins|sultana|currant/

        module_function

        # @param foods [Array<Food>]
        # @return [Array<Food>] those that are poison to it
        def never(foods) = foods.select { |food| food.key.match?(NEVER) }
      end
    end
  end
end
