# frozen_string_literal: true

require "digest"
require_relative "../../core/trips/fill"
require_relative "../../core/value"
require_relative "../../core/work"
require_relative "../race"

module NutShelf
  module Desk
    module Trips
      # All that a search needs to know of a trip, without the food tables: what may be eaten at each slot, slots that
      # stay as they are, and what stands there. Frozen.
      GridProblem = Core::Value.of(:table, :may, pinned: [].freeze, standing: nil)

      # Looking for a grid as a job (see Core::Work), so many seconds by the clock. The first seed tries the cells as
      # they stand, others in an order of their own. Frozen.
      GridFilling =
        Core::Value.of(:seed, :seconds) do
          # @param problem [GridProblem]
          # @yieldparam [Core::Trips::Filled] better and better
          # @return [Core::Trips::Filled] the best
          def call(problem, &)
            dice = seed && seed > 1 ? Random.new(seed) : nil
            Core::Trips::Fill
              .new(problem.table, problem.may, pinned: problem.pinned, dice: dice, clock: TripFilling::CLOCK)
              .call(seconds: seconds, standing: problem.standing, &)
          end
        end

      # Looks for what is eaten when on a trip, in the workers that plan the meals at home.
      class TripFilling
        CLOCK = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
        # Seconds a grid is bettered for at least, where finding out what there is took long.
        LEAST = 0.15

        # @param work [#ask] see Boot::Workers
        # @param score [Core::Trips::GridScore]
        # @param may [Array<Array<Core::Trips::Choice, nil>>] what may be eaten, slot by slot
        # @param pinned [Array<Integer>] slots that stay
        # @param standing [Array<Core::Trips::Choice, nil>] as the slots stand
        def initialize(work, score, may, pinned:, standing:)
          @work = work
          table, told, @choices = score.table(may)
          options = told.flatten.compact.to_h { |one| [one.number, one] }
          stands = standing.map { |choice| choice && options[@choices.index { |one| one.equal?(choice) }] }
          @problem = GridProblem.new(
            table: table, may: told.map(&:freeze).freeze, pinned: pinned.freeze,
            # What is not among the choices any more is no grid to go on from.
            standing: stands.map(&:nil?) == standing.map(&:nil?) ? stands.freeze : nil
          )
        end

        # @param seconds [Float] since `from`: a whole grid is found in any case, it is bettered until then
        # @param from [Float] by CLOCK
        # @param cancel [#call, nil] asked now and again whether to stop
        # @yieldparam [Core::Trips::Filled] better and better ones
        # @return [Core::Trips::Filled] no worse than what stands there
        # @raise [Core::Work::Undone]
        def call(seconds: 3.0, from: CLOCK.call, cancel: nil)
          left = [from + seconds - CLOCK.call, LEAST].max
          # What a worker keeps is known by what is in it.
          key = [:trip, Digest::SHA256.hexdigest(Marshal.dump(@problem))]
          shared = Core::Work::Shared.new(key: key, value: @problem)
          best = Race.new(@work, shared).run(GridFilling.new(seed: 1, seconds: left), cancel: cancel) do |better|
            yield chosen(better) if block_given?
          end
          chosen(best)
        end

        private

        def chosen(filled)
          filled.with(grid: filled.grid.map { |one| one && @choices.fetch(one.number) }.freeze)
        end
      end
    end
  end
end
