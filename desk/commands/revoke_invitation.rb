# frozen_string_literal: true

require_relative "../command"

module NutShelf
  module Desk
    # The link leads nowhere any more.
    class RevokeInvitation < Command
      keeper_only

      private

      # @param input [Hash] :invitation_id
      def perform(input)
        if house.access.revoke_invitation(input[:invitation_id]).zero?
          raise Store::Missing, "There is no such invitation here; it may be used already."
        end

        { invitation_id: input[:invitation_id] }
      end
    end
  end
end
