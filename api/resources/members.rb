# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/commands/invite"
require_relative "../../desk/commands/revoke_invitation"
require_relative "../../desk/commands/change_member"

module NutShelf
  module Api
    # Invitations and roles.
    class Members < Base
      post("/invite") { act(Desk::Invite, body_as("Invite")) }

      post("/:id/revoke") do
        body_as("Nothing")
        act(Desk::RevokeInvitation, { invitation_id: id_param })
      end

      post("/:id/role") { act(Desk::ChangeMember, { account_id: id_param, **body_as("ChangeRole") }) }
    end
  end
end
