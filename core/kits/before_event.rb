# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # A task by the clock: its start and the moment it is done. Frozen.
      TaskTurn = Value.of(:task, :start, :by)

      # The hours before an event: tasks in order, those left out because they would not be done in time, and those that
      # will be too late although they are never left out. Frozen.
      BeforePlan =
        Value.of(:turns, :left_out, :too_late) do
          # @return [Time, nil] when to begin
          def begin_at = turns.first&.start
        end

      # Schedules what is to be done before an event backward from its hour; where that would have begun already,
      # forward from now, leaving out by rank what cannot be done in time (docs/kits.md 6).
      class BeforeEvent
        # A task with the minutes it takes here, when it is best finished and when it must be.
        Job = Struct.new(:task, :seconds, :aim, :latest) do
          # @return [Integer]
          def rank = task.rank

          # @return [String]
          def key = task.key
        end
        private_constant :Job

        # @param tasks [Array<EventTask>] of the table
        # @param has [Array<String>] what the house has: "freezer", "fridge", "car", "pets", "medicines"
        # @param fill_l [Rational] drinking water to fill
        # @param flush_l [Rational] water for flushing
        # @param helpers [Integer]
        def initialize(tasks, has:, fill_l:, flush_l:, helpers: 1)
          @tasks = tasks.select { |task| task.when == "always" || has.include?(task.when) }
          @tens = { "once" => 1r, "ten_litres" => fill_l.to_r / 10, "ten_litres_flush" => flush_l.to_r / 10 }
          @helpers = helpers
          freeze
        end

        # @param now [Time]
        # @param hour [Time] of the event
        # @return [BeforePlan]
        def call(now:, hour:)
          jobs = @tasks.filter_map { |task| job(task, hour) }
          turns = backward(jobs)
          return BeforePlan.new(turns: turns, left_out: [].freeze, too_late: [].freeze) if turns.first.start >= now

          forward(jobs, now)
        end

        private

        def job(task, hour)
          minutes = (task.hands_minutes * @tens.fetch(task.per) / @helpers).ceil
          return unless minutes.positive?

          Job.new(task, minutes * 60, hour - (task.aim_hours * 3600), hour - (task.wait_hours * 3600))
        end

        def backward(jobs)
          start = nil
          jobs.sort_by { |job| [job.aim, job.rank, job.key] }.reverse.map do |job|
            ends = [job.aim, start].compact.min
            start = ends - job.seconds
            TaskTurn.new(task: job.task, start: start, by: ends)
          end.reverse.freeze
        end

        def forward(jobs, now)
          kept = jobs.sort_by { |job| [job.rank == 1 ? 0 : 1, job.latest, job.aim, job.rank, job.key] }
          out = []
          while (gone = given_up(kept, now))
            out << gone
            kept -= [gone]
          end
          ends = ends(kept, now)
          BeforePlan.new(
            turns: kept.zip(ends).map do |job, by|
              TaskTurn.new(task: job.task, start: by - job.seconds, by: by)
            end.freeze,
            left_out: out.map(&:task).freeze,
            too_late: kept.zip(ends).select { |job, by| by > job.latest }.map { |job, _| job.task }.freeze
          )
        end

        def ends(jobs, now)
          clock = now
          jobs.map { |job| clock += job.seconds }
        end

        # @return [Job, nil] what to leave out so that a task ends in time: of it and those before the least needed
        def given_up(jobs, now)
          ends(jobs, now).each_with_index do |by, at|
            next if by <= jobs[at].latest

            able = jobs.first(at + 1).select { |job| job.rank > 1 }
            return able.max_by { |job| [job.rank, job.seconds, job.key] } if able.any?
          end
          nil
        end
      end
    end
  end
end
