# frozen_string_literal: true

module NutShelf
  module Desk
    module Preserving
      # The steps of a batch that apply to it, and what is to be done a while after.
      class Steps
        # @param catalog [Core::Catalog]
        # @param process [String] "freezing", "drying" or "bottling"
        # @param drying [Core::Drying, nil] of the food that is dried
        def initialize(catalog, process, drying = nil)
          @all = catalog.trips.steps.select { |step| step.process == process }
          @drying = drying
        end

        # @return [Array<Core::PreservingStep>] in order; what goes without saying for this food is left out
        def call = @all.select { |step| applies?(step.applies_to) }

        # @param numbers [Array<Integer>] steps that were ticked
        # @return [Array<Core::PreservingStep>] those of them, and those that hold for all, that are followed up
        def followed_up(numbers)
          call.select { |step| step.follow_up_hours && (step.applies_to == "all" || numbers.include?(step.step_no)) }
        end

        # @param numbers [Array<Integer>]
        # @return [Boolean] whether meat was heated through and its fat rinsed off, as far as somebody ticked it
        def meat_done?(numbers)
          call.select { |step| step.applies_to == "meat" }.all? { |step| numbers.include?(step.step_no) }
        end

        private

        # Of what is dried the table says what it is; of what is frozen the cook sees.
        def applies?(whom)
          return true if whom == "all" || @drying.nil?

          { "meat" => !@drying.heat_first_c.nil?, "vegetables" => @drying.first == "blanch",
            "fruit" => @drying.condition_days.positive? }.fetch(whom, true)
        end
      end
    end
  end
end
