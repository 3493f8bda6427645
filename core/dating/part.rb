# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What went into another stack: poured into a jar, or cooked into a dish, with the dates it brought along that day.
    # `stopped` with `reason`: not to eat; `unknown`: high-risk food whose age nobody knows; `cooked`: it was cooked
    # before; `look_first`: somebody must look at it before it goes anywhere; `frozen` and `thawed`: how it stood;
    # `days_left`: of its safety date when it was frozen. Frozen.
    Part =
      Value.of(
        :name, :safety_until, :quality_until, :reason, :days_left, stopped: false, unknown: false, cooked: false,
        frozen: false, thawed: false, look_first: false
      ) do
        # @param dating [Dating] of the source on the day it was used
        # @param name [String] how the source reads
        # @return [Part]
        def self.of(dating, name)
          new(
            name: name,
            safety_until: dating.safety_until,
            quality_until: dating.quality_until,
            stopped: dating.stopped,
            reason: dating.stopped ? dating.steps.last : nil,
            unknown: dating.unknown,
            look_first: dating.look_first,
            cooked: dating.cooked,
            frozen: dating.frozen,
            thawed: dating.thawed,
            days_left: dating.days_left_frozen
          )
        end

        # @param on [Date]
        # @return [Boolean] whether a careful person would not use it that day
        def unfit?(on) = stopped || (!safety_until.nil? && safety_until < on)
      end
  end
end
