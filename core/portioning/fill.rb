# frozen_string_literal: true

require_relative "../rotation/shelf"
require_relative "../quantity/conversion"

module NutShelf
  module Core
    # How much of a food goes into a container, and from which stacks. Wet food and what will freeze in a jar need
    # headspace. Source: usual home-freezing advice, a tenth of a straight-sided jar and a fifth of one with shoulders.
    class Fill
      HEADSPACE = { "straight" => Rational(1, 10), "shouldered" => Rational(1, 5) }.freeze

      attr_reader :grams, :picks, :short_g, :steps

      # @param capacity_ml [Rational]
      # @param food [Food] needs g_per_ml, unless it is a liquid counted in ml (then 1 g a ml stands in)
      # @param cursor [Cursor] what it is filled from
      # @param on [Date]
      # @param filled_g [Rational] what is in it already
      # @param freezing [String, nil] the jar's shape when it goes into the freezer
      # @raise [MissingFigure] when nobody knows how much a millilitre of it weighs
      def initialize(capacity_ml:, food:, cursor:, on:, filled_g: 0r, freezing: nil)
        room_ml = capacity_ml * (1 - HEADSPACE.fetch(freezing, 0))
        full = Conversion.to(Quantity.new(room_ml, :volume), :mass, food).amount
        @grams = [full - filled_g, 0r].max
        draw = cursor.draw(food.key, @grams, on)
        @picks = draw.picks
        @short_g = draw.missing
        @steps = reasons(capacity_ml, room_ml, full, filled_g, freezing).freeze
        freeze
      end

      private

      def reasons(capacity_ml, room_ml, full, filled_g, freezing)
        list = ["It holds #{capacity_ml.to_f.round} ml."]
        list << "For freezing #{(capacity_ml - room_ml).to_f.round} ml are left free at the top." if freezing
        list << "That is #{full.to_f.round} g of it." <<
          (filled_g.positive? ? "#{filled_g.to_f.round} g are in already." : nil)
        list.compact
      end
    end
  end
end
