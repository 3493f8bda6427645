# frozen_string_literal: true

require_relative "../../core/kits/figures"
require_relative "../../core/preserving/dryer"
require_relative "../../core/preserving/next_time"

module NutShelf
  module Desk
    module Preserving
      # What one's own batches teach: what the next of a kind may give, and how many loads of the dryer it is.
      class BatchLog
        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Array<Store::Rows::Batch>] in the order they were begun
        def all = @all ||= @work.house.batches.all

        # @param drying [Core::Drying]
        # @return [Array<Store::Rows::Batch>] finished ones of that food, cut like that
        def finished(drying)
          all.select { |one| one.process == "drying" && one.cut == drying.key && one.status == "finished" }
        end

        # @param drying [Core::Drying]
        # @return [Core::Preserving::NextTime]
        def next_time(drying)
          batches = finished(drying).sort_by { |one| [one.finished_on, one.id] }.map do |one|
            Core::Preserving::Batch.new(in_g: one.in_g, out_g: one.out_g, hours: nonzero(one.hours))
          end
          Core::Preserving::NextTime.new(drying, figures.usual(drying.hours_target), batches)
        end

        # @param drying [Core::Drying]
        # @param in_g [Rational]
        # @param trays [Integer]
        # @param tray_dm2 [Rational]
        # @param day_hours [Rational] the dryer runs in a day
        # @param watts [Rational, nil]
        # @param needed_on [Date, nil]
        # @return [Core::Preserving::DryingPlan]
        def loads(drying, in_g, trays:, tray_dm2:, day_hours:, watts: nil, needed_on: nil)
          Core::Preserving::Dryer.new(
            drying, hours: next_time(drying).hours, trays: trays, tray_dm2: tray_dm2, day_hours: day_hours, watts: watts
          ).call(in_g, needed_on: needed_on)
        end

        private

        def figures = @figures ||= Core::Kits::Figures.new(targets: @work.catalog.targets)

        # Nobody noted how long it took.
        def nonzero(hours) = hours.zero? ? nil : hours
      end
    end
  end
end
