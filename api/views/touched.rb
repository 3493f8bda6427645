# frozen_string_literal: true

require_relative "stack_view"

module NutShelf
  module Api
    # What an act touched, as JSON: the stacks as they stand now, and those that are gone.
    class Touched
      # Beyond this the shelf is read anew.
      MOST = 40

      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param act_id [Integer]
      # @return [Hash, nil] nil when it touched too many to tell them one by one
      def by(act_id)
        ids = @work.house.ledger.touched(act_id)
        return if ids.size > MOST

        view = StackView.new(@work)
        there, gone = @work.stacks(ids).partition { |stack| stack.on_hand.positive? }
        { stacks: there.map { |stack| view.call(stack) }, gone: gone.map(&:id) }
      end
    end
  end
end
