# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A stack as rotation sees it. `amount` and `pack` in base units (Rational; pack nil when it has none). Dates as the
    # dating rules gave them, for the eaters meant; `look_until`: last day a look could still cover it, nil for what may
    # not be planned with a look; `unknown`: high-risk food of unknown age, which no plan uses. Frozen.
    Stock = Value.of(:id, :amount, :pack, :usable_until, :ready_on, :acquired_on, :place, :safety_until, :look_until,
                     open: false, no_opened_limit: false, working: true, set_apart: false, stopped: false,
                     unknown: false) do
      # @param on [Date] day of use
      # @param allow_look [Boolean] whether what must be looked at first may be planned
      # @return [Boolean] usable that day and not set apart
      def eligible?(on, allow_look: false)
        return false if set_apart || unfit?(on) || !amount.positive? || (ready_on && on < ready_on)

        usable_until.nil? || usable_until >= on || (allow_look && look?(on))
      end

      # @return [Boolean] whether a careful person would not eat it that day, look or no look
      def unfit?(on) = stopped || unknown || (!safety_until.nil? && safety_until < on)

      # @return [Boolean] whether it may be used that day once somebody has looked at it
      def look?(on) = !look_until.nil? && !usable_until.nil? && usable_until < on && on <= look_until
    end
  end
end
