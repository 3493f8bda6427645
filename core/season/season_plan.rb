# frozen_string_literal: true

require_relative "../value"
require_relative "jar_walk"

module NutShelf
  module Core
    module Season
      # A year of one kind of jar (docs/trips.md 4): until this harvest, what is left then, what is to be made, in which
      # jars, from how much produce; `find`: so many of `find_ml` are to be found;
      # `full`: jars by size that still hold food at harvest. Millilitres exact. Frozen.
      Planned =
        Value.of(
          :needed_ml, :before, :left_ml, :eaten_ml, :after, :to_make_ml, :uncovered_days, :one_jar_days, :fits_ml,
          :jars, :find, :find_ml, :produce_g, :pots, :empties, :full
        ) do
          # @return [Rational] millilitres in all jars that are filled
          def filled_ml = jars.sum(0r) { |size, count| size * count }
        end

      # How many jars to make for the time between harvests, and which empties to fill.
      class SeasonPlan
        # @param weekly_ml [Rational] eaten in a week
        # @param keep_days [Integer] a jar keeps
        # @param opened_days [Integer] an open one keeps in the fridge
        # @param margin [Rational] made beyond the need
        def initialize(weekly_ml:, keep_days:, opened_days:, margin: 0r)
          @daily = weekly_ml.to_r / 7
          @keep_days = keep_days
          @opened_days = opened_days
          @margin = margin
        end

        # @param jars [Array<JarStack>]
        # @param today [Date]
        # @param harvest [Date]
        # @param next_harvest [Date]
        # @param owned [Hash{Rational=>Integer}] jars by size in millilitres
        # @param g_per_litre [Rational] produce as picked
        # @param pot_jars [Integer, nil] jars a pot holds
        # @return [Planned]
        def call(jars, today:, harvest:, next_harvest:, owned:, g_per_litre:, pot_jars: nil)
          walk = JarWalk.new(@daily)
          before = walk.call(jars, from: today, to: harvest - 1)
          after = walk.call(jars, from: harvest, to: [next_harvest - 1, last_day(jars, harvest)].min, left: before.left)
          left = before.left.values.sum(0r)
          eaten = left - after.past.sum(0r, &:ml) - after.left.values.sum(0r)
          year = (next_harvest - harvest).to_i
          covered = [year, @keep_days + 1].min
          make = [(@daily * covered * (1 + @margin)) - eaten, 0r].max
          full = full(jars, before.left)
          empties = owned.to_h { |size, count| [size, [count - full.fetch(size, 0), 0].max] }.freeze
          filling = Filling.new(fits_ml, empties)
          filled, find = filling.call(make)
          Planned.new(
            needed_ml: @daily * (harvest - today).to_i, before: before, left_ml: left, eaten_ml: eaten, after: after,
            to_make_ml: make, uncovered_days: year - covered, one_jar_days: @opened_days, fits_ml: fits_ml,
            jars: filled, find: find, find_ml: find.positive? ? filling.first_ml : nil, empties: empties, full: full,
            **made(filled, g_per_litre, pot_jars)
          )
        end

        private

        def made(filled, g_per_litre, pot_jars)
          {
            produce_g: filled.sum(0r) { |size, count| size * count } * g_per_litre / 1000,
            pots: pot_jars && (filled.values.sum / pot_jars.to_r).ceil
          }
        end

        # A jar up to that size is finished before it turns.
        def fits_ml = @daily * @opened_days

        def last_day(jars, harvest) = [jars.map(&:good_until).max || harvest, harvest].max

        # Jars that still hold food at harvest are not empty.
        def full(jars, left)
          jars.group_by(&:size_ml)
            .transform_values { |list| list.sum { |jar| (left.fetch(jar.id) / jar.size_ml).ceil } }.freeze
        end
      end

      # Fills whole jars: those that are finished in time first, the largest of them first; then too large ones, the
      # smallest first. What is left goes into the smallest empty that holds it, else jars are to be found.
      class Filling
        # @param fits_ml [Rational] up to which size an open jar is finished in time
        # @param empties [Hash{Rational=>Integer}] by size
        def initialize(fits_ml, empties)
          fitting, large = empties.keys.partition { |size| size <= fits_ml }
          @order = [*fitting.sort.reverse, *large.sort]
          @empties = empties
        end

        # @return [Rational, nil] the size that is filled first
        def first_ml = @order.first

        # @param make [Rational] millilitres
        # @return [Array(Hash{Rational=>Integer}, Integer)] jars by size, and how many of them are to be found
        def call(make)
          jars = @order.to_h { |size| [size, 0] }
          @order.each do |size|
            jars[size] = [@empties[size], (make / size).floor].min
            make -= size * jars[size]
          end
          find = make.positive? && @order.any? ? last(jars, make) : 0
          [jars.freeze, find]
        end

        private

        def last(jars, make)
          size = @order.select { |one| jars[one] < @empties[one] && one >= make }.min
          return 0.tap { jars[size] += 1 } if size

          found = (make / @order.first).ceil
          jars[@order.first] += found
          found
        end
      end
    end
  end
end
