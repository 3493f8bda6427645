# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"

module NutShelf
  module Desk
    # Another role for somebody, or the end of their belonging here. A household always keeps one keeper.
    class ChangeMember < Command
      keeper_only

      private

      # @param input [Hash] :account_id, :role or nil to let go
      def perform(input)
        members = house.access.members
        member = members.find { |row| row.account_id == input[:account_id] } or
          raise Store::Missing, "There is no such member here."
        last = member.role == "keeper" && input[:role] != "keeper" && members.one? { |row| row.role == "keeper" }
        raise Refusal.of(:only_keeper, person: member.name) if last

        input[:role] ? house.access.set_role(member.account_id, input[:role]) : house.access.leave(member.account_id)
        { account_id: member.account_id }
      end
    end
  end
end
