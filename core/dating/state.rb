# frozen_string_literal: true

module NutShelf
  module Core
    # Where a stack stands today, from its stored dates alone.
    module State
      module_function

      # @param today [Date]
      # @param policy [Policy]
      # @param dates [Hash] :quality_until, :safety_until, :ready_on, :usable_until (Date or nil), :stopped and
      #   :look_first
      # @return [Symbol] :stop, :look, :front, :soon, :resting, :undated or :not_ready
      def of(today:, policy:, dates:)
        usable = dates[:usable_until]
        return :stop if dates[:stopped] || (dates[:safety_until] && dates[:safety_until] < today)
        return :not_ready if dates[:ready_on] && today < dates[:ready_on]
        return dates[:look_first] ? :look : :undated unless usable
        return :look if usable < today

        window((usable - today).to_i, policy)
      end

      def window(days, policy)
        return :front if days <= policy.front_days

        days <= policy.soon_days ? :soon : :resting
      end
    end
  end
end
