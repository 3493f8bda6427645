# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # A box that nobody opens is looked through each half year: seals, damp, water that stood too long.
      module BoxCheck
        MONTHS = 6
        # Days stored water may stand before it is poured out and filled anew.
        WATER_DAYS = 180

        module_function

        # @param since [Date] it was packed, or looked through last
        # @return [Date] the next look
        def due(since) = since >> MONTHS

        # @param filled_on [Date, nil]
        # @param today [Date]
        # @return [Integer, nil] days it stands, where those are too many
        def old_water(filled_on, today)
          days = filled_on && (today - filled_on).to_i
          days if days && days > WATER_DAYS
        end
      end
    end
  end
end
