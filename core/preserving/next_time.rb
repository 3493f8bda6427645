# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Freezing, drying and bottling at home: what the last batches teach the next.
    module Preserving
      # A batch that was dried: grams in and out, hours, whether it passed its test of doneness. Frozen.
      Batch =
        Value.of(:in_g, :out_g, :hours, done: true) do
          # @return [Rational] grams out of one gram in
          def yield = out_g / in_g
        end

      # The middle of what was seen: of an even number the mean of the middle two.
      module Median
        module_function

        # @param values [Array<Rational>] one or more
        # @return [Rational]
        def of(values)
          sorted = values.sort
          (sorted[(sorted.size - 1) / 2] + sorted[sorted.size / 2]) / 2
        end
      end

      # What the next batch may be expected to give: the median of one's own, beside the table's figure while there are
      # few (docs/trips.md 3).
      class NextTime
        # Batches that count, the latest; from so many on the table has no say.
        LAST = 7
        ENOUGH = 3

        # @param drying [Drying]
        # @param usual_hours [Rational] of the table
        # @param batches [Array<Batch>] in the order they were made
        def initialize(drying, usual_hours, batches)
          @drying = drying
          @usual_hours = usual_hours
          @done = batches.select(&:done).last(LAST)
        end

        # @return [Array<Rational>] of the batches that count
        def yields = @done.map(&:yield)

        # @return [Rational] grams out of one gram in
        def yield = Median.of(with_table(yields, @drying.yield_usual))

        # @return [Rational]
        def hours = Median.of(with_table(@done.filter_map(&:hours), @usual_hours))

        # @param in_g [Rational]
        # @return [Rational] grams that come out
        def out_g(in_g) = in_g * self.yield

        # @param in_g [Rational]
        # @return [Rational, nil] litres they fill, nil where nobody knows how dense they are
        def litres(in_g) = @drying.dried_g_per_ml && (out_g(in_g) / (1000 * @drying.dried_g_per_ml))

        private

        def with_table(own, usual) = own.size < ENOUGH ? [*own, *usual] : own
      end

      # Water given back to what was dried.
      module WaterBack
        module_function

        # @param portion_g [Rational] dried
        # @param in_g [Rational] of the batch before drying
        # @param out_g [Rational] of the batch after it
        # @return [Rational] millilitres, at most
        def of_batch(portion_g, in_g, out_g) = portion_g * (in_g - out_g) / out_g

        # @param portion_g [Rational] dried, of a batch nobody knows
        # @param drying [Drying]
        # @param target [Rational] millilitres for a millilitre of it
        # @return [Rational] millilitres
        def of_table(portion_g, drying, target) = portion_g / drying.dried_g_per_ml * target
      end
    end
  end
end
