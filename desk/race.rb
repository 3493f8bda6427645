# frozen_string_literal: true

require_relative "../core/work"
require_relative "filling"

module NutShelf
  module Desk
    # Several searches for the same plan at once, each with a seed of its own in a worker of its own; the best any of
    # them has is what counts. Who asks first is told every better one.
    class Race
      SEEDS = [1, 2].freeze
      # A search is to have come back so long after its time is over.
      GRACE = 2.0

      # @param work [#ask] see Boot::Workers
      # @param problem [Core::Work::Shared] of a Core::Planner::Problem
      def initialize(work, problem)
        @work = work
        @problem = problem
        @lock = Mutex.new
      end

      # @param filling [Filling] for the first seed
      # @param cancel [#call, nil] asked now and again whether to stop
      # @yieldparam [Filled] every one that is better than those before
      # @return [Filled] the best there is, also when a worker died on the way
      # @raise [Core::Work::Undone] where nobody found any
      def run(filling, cancel: nil, &told)
        seeds = @work.elsewhere? ? SEEDS : SEEDS.first(1)
        fates = seeds.map { |seed| Thread.new { fate(filling.with(seed: seed), cancel, &told) } }.map(&:value)
        @best || raise(fates.compact.first)
      end

      private

      # @return [Core::Work::Undone, nil] why it has no answer
      def fate(filling, cancel, &told)
        seconds = (filling.seconds || 10.0) + GRACE
        better(@work.ask(filling, @problem, seconds: seconds, cancel: cancel) { |one| better(one, &told) }, &told)
        nil
      rescue Core::Work::Undone => e
        e
      end

      def better(filled)
        @lock.synchronize do
          return unless @best.nil? || filled.cost < @best.cost

          @best = filled
          yield filled if block_given?
        end
      end
    end
  end
end
