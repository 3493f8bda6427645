# frozen_string_literal: true

require_relative "../rotation/shelf"
require_relative "../quantity/conversion"

module NutShelf
  module Core
    # How much of a food goes into a container, and from which stacks. What will freeze in a jar needs headspace, see
    # Portioning::FreezerJars.
    class Fill
      attr_reader :grams, :picks, :short_g, :steps

      # @param capacity_ml [Rational]
      # @param food [Food] needs g_per_ml, unless it is a liquid counted in ml (then 1 g a ml stands in)
      # @param cursor [Cursor] what it is filled from
      # @param on [Date]
      # @param filled_g [Rational] what is in it already
      # @param headspace [Rational] of the jar that stays free, for the freezer
      # @raise [MissingFigure] when nobody knows how much a millilitre of it weighs
      def initialize(capacity_ml:, food:, cursor:, on:, filled_g: 0r, headspace: 0r)
        room_ml = capacity_ml * (1 - headspace)
        full = Conversion.to(Quantity.new(room_ml, :volume), :mass, food).amount
        @grams = [full - filled_g, 0r].max
        draw = cursor.draw(food.key, @grams, on)
        @picks = draw.picks
        @short_g = draw.missing
        @steps = reasons(capacity_ml, room_ml, full, filled_g).freeze
        freeze
      end

      private

      def reasons(capacity_ml, room_ml, full, filled_g)
        list = ["It holds #{capacity_ml.to_f.round} ml."]
        free = (capacity_ml - room_ml).to_f.round
        list << "For freezing #{free} ml are left free at the top." if free.positive?
        list << "That is #{full.to_f.round} g of it." <<
          (filled_g.positive? ? "#{filled_g.to_f.round} g are in already." : nil)
        list.compact
      end
    end
  end
end
