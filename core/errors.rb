# frozen_string_literal: true

module NutShelf
  module Core
    # Anything the core refuses. `remedy` tells the person how to mend it.
    class Error < StandardError
      attr_reader :remedy

      def initialize(message, remedy: nil)
        super(message)
        @remedy = remedy
      end
    end

    # Raised when amounts of different dimensions meet and nothing says how they relate.
    class DimensionMismatch < Error
    end

    # Raised when a conversion needs a figure nobody has measured yet.
    class MissingFigure < Error
      attr_reader :food_key, :figure

      def initialize(message, food_key:, figure:, remedy:)
        super(message, remedy: remedy)
        @food_key = food_key
        @figure = figure
      end
    end

    # Raised for a unit, food or rule the core does not know.
    class Unknown < Error
    end

    # Raised when a table row cannot be used as it stands.
    class BadTable < Error
    end
  end
end
