# frozen_string_literal: true

module NutShelf
  module Core
    # A stack as rotation sees it. `amount` and `pack` in base units (Rational; pack nil when it has none).
    # `looked_after`: nil when it may be used as it is, :look when a person must look first. Frozen.
    Stock = Struct.new(:id, :amount, :pack, :usable_until, :ready_on, :open, :no_opened_limit, :working, :acquired_on,
                       :set_apart, :stopped, :place, :sealed_shelf_stable, keyword_init: true) do
      def initialize(**facts)
        super(open: false, no_opened_limit: false, working: true, set_apart: false, stopped: false, sealed_shelf_stable: false, **facts)
        freeze
      end

      # @param on [Date] day of use
      # @param allow_look [Boolean] whether what must be looked at first may be planned
      # @return [Boolean] usable that day and not set apart
      def eligible?(on, allow_look: false)
        return false if set_apart || stopped || !amount.positive? || (ready_on && on < ready_on)

        usable_until.nil? || usable_until >= on || (allow_look && sealed_shelf_stable)
      end
    end
  end
end
