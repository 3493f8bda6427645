# frozen_string_literal: true

require_relative "errors"
require_relative "value"

module NutShelf
  module Core
    # Long computing, wherever it runs. A job is a frozen value that answers to `call(kept) { |partial| }`: it is told
    # everything it needs, may hand out answers that get better, and returns its last one. What many jobs share (a
    # shelf) stands apart, under a key that says what it holds, so that whoever runs jobs may keep it.
    module Work
      # The work was not done. `again` says whether it is worth trying elsewhere, or later.
      class Undone < Error
        # @return [Boolean] whether it is worth trying elsewhere, or later
        def again? = true
      end

      # Everybody who does such work has more than enough of it.
      class Busy < Undone; end

      # Whoever did it is gone, in the middle of it or before it began.
      class Gone < Undone; end

      # It took longer than was allowed.
      class TimedOut < Undone
        # @return [Boolean] whether it is worth trying elsewhere, or later
        def again? = false
      end

      # Whoever asked does not want it any more.
      class Cancelled < Undone
        # @return [Boolean] whether it is worth trying elsewhere, or later
        def again? = false
      end

      # The job itself raised something; the message says what.
      class Failed < Undone
        # @return [Boolean] whether it is worth trying elsewhere, or later
        def again? = false
      end

      # What jobs share: a key that names its contents and the contents. Frozen.
      Shared = Value.of(:key, :value)

      # Does the work here and now, for those who have nobody to do it for them.
      module Here
        module_function

        # @param job [#call]
        # @param shared [Shared]
        # @yieldparam [Object] answers that get better
        # @return [Object] the last answer
        def ask(job, shared, **_limits, &partial) = job.call(shared.value, &partial)

        # @return [Boolean] whether asking takes nothing from whoever asks
        def elsewhere? = false
      end
    end
  end
end
