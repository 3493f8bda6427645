# frozen_string_literal: true

require "securerandom"
require_relative "../act"

module NutShelf
  module Desk
    # Invites somebody by a link that works once. The link is shown this one time; only its hash is kept.
    class Invite < Act
      keeper_only

      private

      # @param input [Hash] :name, :role
      def perform(input)
        token = SecureRandom.urlsafe_base64(24)
        id = house.doors.invite(token: token, account_id: room.caller.account_id, name: input[:name].strip, role: input[:role])
        { invitation_id: id, path: "/join##{token}" }
      end
    end

    # The link leads nowhere any more.
    class RevokeInvitation < Act
      keeper_only

      private

      # @param input [Hash] :invitation_id
      def perform(input)
        raise Store::Missing, "There is no such invitation here; it may be used already." if house.doors.revoke_invitation(input[:invitation_id]).zero?

        { invitation_id: input[:invitation_id] }
      end
    end

    # Another role for somebody, or the end of their belonging here. A household always keeps one keeper.
    class ChangeMember < Act
      keeper_only

      private

      # @param input [Hash] :account_id, :role or nil to let go
      def perform(input)
        members = house.doors.members
        member = members.find { |row| row[:account_id] == input[:account_id] } or raise Store::Missing, "There is no such member here."
        last = member[:role] == "keeper" && input[:role] != "keeper" && members.one? { |row| row[:role] == "keeper" }
        raise Conflict.new("#{member[:name]} is the only keeper.", code: "last_keeper", remedy: "Make somebody else a keeper first.") if last

        input[:role] ? house.doors.set_role(member[:account_id], input[:role]) : house.doors.leave(member[:account_id])
        { account_id: member[:account_id] }
      end
    end

    # A private calendar feed. Its address is shown once; a new one ends the old ones of this account.
    class OpenFeed < Act
      private

      # @param input [Hash] nothing
      def perform(_input)
        token = SecureRandom.urlsafe_base64(24)
        id = house.doors.open_feed(token: token, account_id: room.caller.account_id)
        { feed_id: id, path: "/api/calendar/#{token}.ics" }
      end
    end

    # The feed's address leads nowhere any more.
    class RevokeFeed < Act
      private

      # @param input [Hash] :feed_id
      def perform(input)
        own = house.doors.feeds.find { |row| row[:id] == input[:feed_id] }
        raise Store::Missing, "There is no such feed here." unless own
        raise Forbidden.new("That is somebody else's feed.", code: "keeper_only", remedy: "Ask a keeper of the household.") unless room.caller.keeper? || own[:account_id] == room.caller.account_id

        house.doors.revoke_feeds(input[:feed_id])
        { feed_id: input[:feed_id] }
      end
    end

    # A reading of the kitchen scale arrives.
    class ReadScale < Act
      private

      # @param input [Hash] :grams, :steady
      def perform(input)
        house.readings.keep("scale", { grams: input[:grams], steady: input[:steady] })
        { grams: input[:grams] }
      end
    end
  end
end
