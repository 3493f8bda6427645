# frozen_string_literal: true

module NutShelf
  module Core
    # The answer of the dating rules for one stack. Frozen.
    #
    # `quality_until` and `safety_until`: last good days, either may be nil. `ready_on`: usable from.
    # `usable_until`: what planning, rotation and forecast use; nil when nothing gives a date. `state`:
    # :stop, :look, :front, :soon, :resting, :undated or :not_ready. `days_left`: whole days from today,
    # 0 = good today for the last time. `basis`: :printed, :rule, :opened, :frozen, :thawed, :look or :none.
    # `steps`: the reasons, in order. `flags`: warnings as {code:, text:}. `stopped`: never edible again.
    Dating = Struct.new(:quality_until, :safety_until, :ready_on, :usable_until, :state, :days_left, :basis, :steps,
                        :flags, :stopped, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end
    end
  end
end
