# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Trips
      # A slot of a day: its name ("Fri day"), litres it takes. Frozen.
      SlotWater = Value.of(:name, :litres)

      # From one place with water to the next: where it begins, litres needed, litres to carry from there. Frozen.
      Stretch = Value.of(:from, :need_l, :carry_l)

      # A day as water counts it: `hours` moving, whether it is hot, millilitres its meals take and pots washed, by
      # slot, and the slots of it that are on the way. Frozen.
      WaterDay = Value.of(:day, :hours, hot: false, slots: %w[breakfast day evening].freeze, meal_ml: {}.freeze,
        pots: {}.freeze)

      # Drinking and cooking water by slot and from source to source (docs/trips.md 5).
      class Water
        SHARES = { "breakfast" => 1/4r, "day" => 1/4r, "evening" => 1/2r }.freeze
        WAKING = 16
        HOT = 3/2r

        # @param figures [Kits::Figures]
        # @param rows [Array<String>] for each person the row they drink by
        def initialize(figures, rows)
          @figures = figures
          @base = rows.sum(0r) { |row| figures.usual(row) }
          @people = rows.size
        end

        # @param days [Array<WaterDay>]
        # @return [Array<SlotWater>]
        def slots(days)
          days.flat_map do |day|
            SHARES.keys.select { |slot| day.slots.include?(slot) }
              .map { |slot| SlotWater.new(name: "#{day.day} #{slot}", litres: litres(day, slot)) }
          end
        end

        # @param slots [Array<SlotWater>]
        # @param sources [Array<String>] names of slots at whose beginning there is water
        # @return [Array<Stretch>] from one to the next, and from the last to the end
        def stretches(slots, sources)
          slots.slice_when { |_, slot| sources.include?(slot.name) }.map do |list|
            need = list.sum(0r, &:litres)
            Stretch.new(from: list.first.name, need_l: need, carry_l: need + (reserve * @people))
          end
        end

        # @param stretch [Stretch] the longest
        # @param containers_l [Array<Rational>]
        # @return [Boolean] whether losing the largest leaves half of what is needed
        def two_containers?(stretch, containers_l)
          containers_l.size > 1 && containers_l.sum(0r) - containers_l.max >= stretch.need_l / 2
        end

        private

        def reserve = @figures.usual("trip-water-reserve")

        def litres(day, slot)
          still = @base * (WAKING - day.hours) / WAKING * SHARES.fetch(slot)
          moving = slot == "day" ? @figures.usual("water-drinking-hiking") * day.hours * @people : 0r
          drink = (still + moving) * (day.hot ? HOT : 1)
          drink + (day.meal_ml.fetch(slot, 0r) / 1000) + (@figures.usual("trip-wash-water") * day.pots.fetch(slot, 0))
        end
      end
    end
  end
end
