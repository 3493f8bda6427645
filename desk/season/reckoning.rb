# frozen_string_literal: true

require_relative "../../core/dating/words"
require_relative "../../core/quantity/quantity"

module NutShelf
  module Desk
    module Season
      # How a line of the season was reckoned, step by step, in the words of a household.
      class Reckoning
        # @param work [UnitOfWork]
        # @param told [SeasonLine]
        def initialize(work, told)
          @work = work
          @told = told
          @plan = told.plan
        end

        # @return [Array<String>]
        def steps = [rate, until_harvest, left, covered, to_make, *empties].compact

        # @param amount [Rational] in the units of the line
        # @return [String]
        def words(amount)
          fine = amount < 1000 ? 0 : -1
          @work.size(Core::Quantity.new(amount.round(fine).to_r, @told.there.dimension.to_sym))
        end

        private

        def line = @told.line

        def rate
          "#{words(@told.weekly)} a week #{line.weekly ? "as you said" : "as was eaten lately"}, " \
            "#{words(@told.weekly / 7)} a day."
        end

        def until_harvest
          return "The harvest has begun." if line.harvest_on <= @work.today

          days = (line.harvest_on - @work.today).to_i
          "#{days} days until the eve of the harvest: #{words(@plan.needed_ml)}."
        end

        def left
          return unless @plan.left_ml.positive?

          surplus = @plan.left_ml - @plan.eaten_ml
          "#{words(@plan.left_ml)} are left at the harvest; #{words(@plan.eaten_ml)} of it are eaten in time" \
            "#{", #{words(surplus)} are more than that" if surplus.positive?}."
        end

        def covered
          days = (line.next_harvest_on - [line.harvest_on, @work.today].max).to_i
          return "#{days} days from one harvest to the next." if @plan.uncovered_days.zero?

          "#{days} days from one harvest to the next; #{@told.bottling? ? "jars keep" : "dried it keeps"} for " \
            "#{days - @plan.uncovered_days} of them."
        end

        def to_make
          more = line.margin_percent.positive? ? " and #{line.margin_percent} % more" : ""
          "For those days#{more}, less what is left and eaten: #{words(@plan.to_make_ml)}."
        end

        def empties
          return unless @told.bottling?

          "A jar up to #{words(@plan.fits_ml)} is finished in the #{@plan.one_jar_days} days an open one keeps: " \
            "those are filled first, the largest of them first."
        end
      end
    end
  end
end
