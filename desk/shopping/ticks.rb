# frozen_string_literal: true

module NutShelf
  module Desk
    # Who has a line of the list in the basket: each person once.
    module Ticks
      module_function

      # @param line [Store::Rows::ListLine] locked
      # @param work [UnitOfWork] of whoever ticks it
      # @return [Hash] what changes of the line, nothing where this person's tick stands there
      def add(line, work)
        mine = line.ticks.any? { |one| one["account_id"] == work.caller.account_id }
        return {} if mine && line.status == "ticked"

        { status: "ticked", ticks: mine ? line.ticks : [*line.ticks, work.tick], ticked_seq: work.sequence }
      end

      # @param line [Store::Rows::ListLine]
      # @param work [UnitOfWork]
      # @return [Array<Hash>] ticks of other people
      def others(line, work) = line.ticks.reject { |one| one["account_id"] == work.caller.account_id }
    end
  end
end
