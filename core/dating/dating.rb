# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # The answer of the dating rules for one stack. Frozen.
    #
    # `quality_until` and `safety_until`: last good days, either may be nil. `ready_on`: usable from.
    # `usable_until`: what planning, rotation and forecast use; nil when nothing gives a date. `state`:
    # :stop, :look, :front, :soon, :resting, :undated or :not_ready. `days_left`: whole days from today,
    # 0 = good today for the last time. `basis`: what the date rests on, :printed, :rule, :opened, :cut, :cooked,
    # :frozen, :thawed, :out_of_cold, :recipe, :part, :turning, :care, :look or :none.
    # `steps`: the reasons, in order. `flags`: warnings as {code:, text:}. `stopped`: never edible again.
    # `look_first`: a person must look although no date says so, or whatever it says (pests were found beside it).
    # `unknown`: high-risk food of unknown age, which no plan may use. `cooked`, `frozen`, `thawed`
    # (after a safety thaw) and `days_left_frozen` (of its safety date, when it was frozen) are what a jar or a dish
    # must know of its parts. `by_school`: whether another school might say otherwise.
    Dating =
      Value.of(
        :quality_until, :safety_until, :ready_on, :usable_until, :state, :days_left, :basis, :steps, :flags, :stopped,
        :look_first, :unknown, :cooked, :frozen, :thawed, :days_left_frozen,
        :by_school
      )
  end
end
