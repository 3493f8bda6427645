# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/preserving/batch_log"
require_relative "../../desk/refusal"

module NutShelf
  module Api
    # How many loads of the dryer it is, when to begin, and what comes out, as JSON.
    class LoadsView
      # @param work [Desk::UnitOfWork]
      # @param cut [String] key of the drying table
      # @param in_g [Integer] what is dried
      # @param dryer [Hash] :trays, :tray_dm2, :day_hours, :watts (0: not known), :needed_on
      # @raise [Desk::Invalid]
      def initialize(work, cut:, in_g:, **dryer)
        @work = work
        @log = Desk::Preserving::BatchLog.new(work)
        @drying = work.catalog.trips.drying[cut] or raise Desk::Refusal.of(:batch_of_what, at: "/cut")
        @in_g = in_g.to_r
        @dryer = dryer
      end

      # @return [Hash]
      def call
        told = @log.next_time(@drying)
        plan = plan()
        litres = told.litres(@in_g)
        {
          loads: plan.loads, per_load: size(plan.per_load_g), per_tray: size(plan.per_tray_g), days: plan.days,
          start_on: plan.start_on&.iso8601, kwh: plan.kwh && Core::Decimal.print(plan.kwh.round(1)),
          hours: Core::Decimal.print(told.hours.round(1)), out: size(told.out_g(@in_g)),
          litres: litres && Core::Decimal.print(litres.round(1)), condition_days: @drying.condition_days.ceil
        }
      end

      private

      def plan
        figures = @dryer.slice(:trays, :tray_dm2, :day_hours).transform_values(&:to_r)
        watts = @dryer[:watts].zero? ? nil : @dryer[:watts].to_r
        @log.loads(@drying, @in_g, **figures, watts: watts, needed_on: @dryer[:needed_on])
      end

      def size(grams) = @work.size(Core::Quantity.new(grams.round.to_r, :mass))
    end
  end
end
