# frozen_string_literal: true

require "securerandom"
require_relative "../command"

module NutShelf
  module Desk
    # Invites somebody by a link that works once. The link is shown this one time; only its hash is kept.
    class Invite < Command
      keeper_only
      tells_once :path

      private

      # @param input [Hash] :name, :role
      def perform(input)
        token = SecureRandom.urlsafe_base64(24)
        id =
          house.access.invite(
            token: token,
            account_id: work.caller.account_id,
            name: input[:name].strip,
            role: input[:role]
          )
        { invitation_id: id, path: "/join##{token}" }
      end
    end
  end
end
