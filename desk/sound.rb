# frozen_string_literal: true

require_relative "errors"

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

        raise Conflict.new(
          "That cannot be: #{broken.first(3).join("; ")}.",
          code: "depended_on",
          remedy: "Put right what came later first."
        )
      end
    end
  end
end
