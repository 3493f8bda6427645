# frozen_string_literal: true

require_relative "quantity"

module NutShelf
  module Core
    # Turns an amount of one dimension into another by a food's measured figures.
    module Conversion
      FIGURE = { volume: [:g_per_ml, "weigh 100 ml of it once"], count: [:g_per_piece, "weigh one piece once"] }.freeze

      module_function

      # @param quantity [Quantity]
      # @param dimension [Symbol] the dimension wanted
      # @param food [#key, #name, #g_per_ml, #g_per_piece] figures may be nil
      # @return [Quantity]
      # @raise [MissingFigure] naming what to weigh once
      def to(quantity, dimension, food)
        return quantity if quantity.dimension == dimension

        grams = quantity.dimension == :mass ? quantity.amount : quantity.amount * figure(quantity.dimension, food)
        Quantity.new(dimension == :mass ? grams : grams / figure(dimension, food), dimension)
      end

      # @param gross [Quantity] as bought
      # @param food [#edible_yield] share of the pack that is eaten, 0 to 1
      # @return [Quantity] the edible part; a count stays a count, since g_per_piece is edible already
      def edible(gross, food) = gross.dimension == :count ? gross : gross * (food.edible_yield || 1)

      # @param edible [Quantity] as a recipe asks
      # @return [Quantity] what must be taken from the pack
      def gross(edible, food) = edible.dimension == :count ? edible : edible / (food.edible_yield || 1)

      # @return [Rational] grams in one ml or piece
      # @raise [MissingFigure] naming what to weigh once
      def figure(dimension, food)
        name, remedy = FIGURE.fetch(dimension)
        food.public_send(name) ||
          raise(
            MissingFigure.new(
              "How heavy #{food.name} is for its size is not known.",
              food_key: food.key,
              figure: name,
              remedy: "Please #{remedy}; the answer is kept with the food."
            )
          )
      end
    end
  end
end
