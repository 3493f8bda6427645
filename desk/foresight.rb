# frozen_string_literal: true

require_relative "errors"

module NutShelf
  module Desk
    # The dates an act would give, read before its transaction is taken back. They are the act's own, so what is
    # shown before confirming can never differ from what happens.
    class Foresight
      # @param work [UnitOfWork] inside the act's transaction
      # @param lot_id [Integer, nil] the stack in hand
      def initialize(work, lot_id)
        @work = work
        @lot_id = lot_id
      end

      # @param answer [Hash] the act's answer
      # @return [Hash] :summary and :stacks
      def call(answer)
        events = @work.house.ledger.events(answer[:act_id])
        ids = [
          *events.map(&:lot_id),
          *@work.house.ledger.movements(answer[:act_id]).map(&:lot_id)
        ].uniq
        made = events.select { |event| event.kind == "came" }.map(&:lot_id)
        {
          summary: answer[:summary],
          stacks: @work.house.lots.every(ids).select { |lot| lot.on_hand.positive? }.map { |lot| stack(lot, made) }
        }
      end

      private

      def stack(lot, made)
        usable = lot.usable_until
        {
          new: made.include?(lot.id),
          this: lot.id == @lot_id,
          name: lot.name(@work.food(lot.food_id)),
          amount: @work.wording(lot),
          place: @work.place(lot.place_id).name,
          usable_until: usable&.iso8601,
          state:
            Core::State.of(today: @work.today, policy: @work.policy, dates: lot),
          days_left: usable && (usable - @work.today).to_i,
          steps: lot.steps,
          warnings: lot.flags.map { |flag| flag["text"] },
          value_minor: lot.value_minor
        }
      end
    end
  end
end
