# frozen_string_literal: true

require_relative "stack_view"

module NutShelf
  module Api
    # What an act touched, as JSON: the stacks as they stand now, and those that are gone.
    class Touched
      # Beyond this the shelf is read anew.
      MOST = 40

      # @param room [Desk::Room]
      def initialize(room)
        @room = room
      end

      # @param act_id [Integer]
      # @return [Hash, nil] nil when it touched too many to tell them one by one
      def by(act_id)
        ids = @room.house.ledger.touched(act_id)
        return if ids.size > MOST

        view = StackView.new(@room)
        there, gone = @room.stacks(ids).partition { |stack| stack.on_hand.positive? }
        { stacks: there.map { |stack| view.call(stack) }, gone: gone.map(&:id) }
      end
    end
  end
end
