# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # Pours an amount over days so that the lowest come level, as water finds its own level: none above its room.
      module Levelling
        module_function

        # @param rooms [Hash{Object=>Array(Rational, Rational)}] where each stands now, and how much it may get
        # @param amount [Rational]
        # @return [Hash{Object=>Rational}] what each gets; all of the amount, or all rooms full
        def call(rooms, amount)
          whole = rooms.values.sum(0r) { |_, room| [room, 0r].max }
          return rooms.transform_values { |_, room| [room, 0r].max } if whole <= amount

          return rooms.transform_values { 0r } if amount.zero?

          level = level(rooms.values, amount)
          rooms.transform_values { |stands, room| gets(stands, room, level) }
        end

        # Between two heights at which something starts or is full, the level rises evenly.
        def level(rooms, amount)
          heights = rooms.flat_map { |stands, room| [stands, stands + [room, 0r].max] }.uniq.sort
          low, high = heights.each_cons(2).find { |_, above| total(rooms, above) >= amount }
          below = total(rooms, low)
          low + ((amount - below) * (high - low) / (total(rooms, high) - below))
        end

        # @return [Rational] what all get up to a level
        def total(rooms, level) = rooms.sum(0r) { |stands, room| gets(stands, room, level) }

        # @return [Rational]
        def gets(stands, room, level) = (level - stands).clamp(0r, [room, 0r].max)
      end
    end
  end
end
