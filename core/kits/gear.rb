# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # What can be cooked with what is at hand: nothing, a kettle, one burner with a pan, or a kitchen.
      module Gear
        WORDS = %i[none kettle burner full].freeze
        # What goes into a pan on a burner instead of an oven.
        PAN_MINUTES = 10

        module_function

        # @param food [Food]
        # @param gear [Symbol] one of WORDS
        # @param quick [Rational, nil] minutes a burner may burn for it, nil for no limit
        # @return [Boolean] whether it can be made ready
        def makes?(food, gear, quick: nil)
          return true if food.ready_to_eat || gear == :full
          return false if gear == :none
          return true if food.preparing.pour_on

          gear == :burner && on_a_burner?(food.preparing, quick)
        end

        # @return [Boolean]
        def on_a_burner?(preparing, quick)
          minutes = preparing.minutes || 0
          return minutes <= PAN_MINUTES && (quick.nil? || minutes <= quick) if preparing.heat == "bake"

          quick.nil? || minutes <= quick
        end
      end
    end
  end
end
