# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Where a stack stands today, from its dates alone.
    module State
      # What a state follows from. Frozen. Anything that answers to the same will do.
      Dates = Value.of(:usable_until, :quality_until, :safety_until, :ready_on, stopped: false, look_first: false)

      module_function

      # @param today [Date]
      # @param policy [Policy]
      # @param dates [Dates, Stack]
      # @return [Symbol] :stop, :look, :front, :soon, :resting, :undated or :not_ready
      def of(today:, policy:, dates:)
        usable = dates.usable_until
        return :stop if dates.stopped || (dates.safety_until && dates.safety_until < today)
        return :not_ready if dates.ready_on && today < dates.ready_on
        return :look if dates.look_first || usable&.<(today)
        return :undated unless usable

        window((usable - today).to_i, policy)
      end

      # @return [Symbol] :front, :soon or :resting by the days that are left
      def window(days, policy)
        return :front if days <= policy.front_days

        days <= policy.soon_days ? :soon : :resting
      end
    end
  end
end
