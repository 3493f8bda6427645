# frozen_string_literal: true

require_relative "../dating/state"
require_relative "../value"

module NutShelf
  module Core
    # How a stack stood on the day something of it moved: its state, the days it had left (fewer than none when they
    # were over, nil without a date), and whether a look covered its passed quality date. Kept with the movement,
    # since later looks, rules and schools change what the stack says of itself. Frozen.
    AsItWas =
      Value.of(:state, :days_left, :looked) do
        # @param dates [#usable_until, #quality_until, #safety_until, #ready_on, #stopped, #look_first]
        # @param on [Date]
        # @param policy [Policy]
        # @return [AsItWas]
        def self.of(dates, on:, policy:)
          usable = dates.usable_until
          covered = !usable.nil? && !dates.quality_until.nil? && dates.quality_until < on && on <= usable
          new(
            state: State.of(today: on, policy: policy, dates: dates).to_s,
            days_left: usable && (usable - on).to_i,
            looked: covered
          )
        end
      end
  end
end
