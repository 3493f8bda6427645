# frozen_string_literal: true

require_relative "refusal"

module NutShelf
  module Desk
    # Runs something and refuses what it would make of the house: the checks that acts make beforehand, made again on
    # the outcome. What was wrong before does not stand in the way.
    module Sound
      module_function

      # @param work [UnitOfWork]
      # @raise [Conflict] naming what would not hold
      def keeping(work)
        before = work.house.soundness.faults
        result = yield
        broken = work.house.soundness.faults - before
        return result if broken.empty?

        raise Refusal.of(:unsound, broken: broken.first(3).join("; "))
      end
    end
  end
end
