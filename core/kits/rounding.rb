# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # How figures are shown: what is needed up, what is there down, so that no shown figure promises too much.
      # Comparisons are made before.
      module Rounding
        module_function

        # @param number [Rational]
        # @param places [Integer] digits after the point
        # @return [Integer, Rational]
        def up(number, places = 0) = number.to_r.ceil(places)

        # @return [Integer, Rational]
        def down(number, places = 0) = number.to_r.floor(places)
      end
    end
  end
end
