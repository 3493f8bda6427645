# frozen_string_literal: true

require "digest"
require_relative "households"
require_relative "table"

module NutShelf
  module Store
    # Ways in for those who hold a secret link: invitations and calendar feeds. Only the hash of a link is kept.
    class Access < Table
      # @return [String] what is kept of a link's secret
      def self.hash(token) = Digest::SHA256.hexdigest(token)

      # Outside the wall: what an unused invitation is for.
      # SELECT * FROM invitation_for('...')
      # @return [Rows::Offer, nil]
      def self.invitation(db, token)
        Rows.typed(db.from(Sequel.function(:invitation_for, hash(token))), Rows::Offer).first
      end

      # @return [Integer, nil] household of a calendar feed that was not revoked
      def self.calendar(db, token) = db.get(Sequel.function(:calendar_for, hash(token)))

      # @return [Integer] id
      def invite(token:, account_id:, name:, role:)
        insert(:invitations, token_hash: Access.hash(token), account_id: account_id, name: name, role: role)
      end

      # SELECT ... FROM invitations WHERE used_at IS NULL AND revoked_at IS NULL AND expires_at > now()
      def invitations
        rows(:invitations)
          .where(used_at: nil, revoked_at: nil)
          .where { expires_at > Sequel::CURRENT_TIMESTAMP }
          .order(:id)
          .all
      end

      # @return [Integer] 1 when this call used it up, 0 when somebody was faster
      def use_invitation(id)
        rows(:invitations).where(id: id, used_at: nil, revoked_at: nil).update(used_at: Sequel::CURRENT_TIMESTAMP)
      end

      # @return [Integer] 1 when it was still open
      def revoke_invitation(id)
        rows(:invitations).where(id: id, used_at: nil, revoked_at: nil).update(revoked_at: Sequel::CURRENT_TIMESTAMP)
      end

      # A new address ends the ones this account had here.
      def open_feed(token:, account_id:)
        rows(:calendar_feeds).where(account_id: account_id, revoked_at: nil).update(
          revoked_at: Sequel::CURRENT_TIMESTAMP
        )
        insert(:calendar_feeds, token_hash: Access.hash(token), account_id: account_id)
      end

      # @return [Array<Rows::Feed>] calendar feeds that are open
      def feeds = rows(:calendar_feeds).where(revoked_at: nil).order(:id).all

      # @return [Integer] how many were open
      def revoke_feeds(id = nil)
        rows(:calendar_feeds).where({ revoked_at: nil, id: id }.compact).update(revoked_at: Sequel::CURRENT_TIMESTAMP)
      end

      # Who belongs to the household.
      # SELECT account_id, role, name, email FROM memberships JOIN accounts ... ORDER BY account_id
      # @return [Array<Rows::Member>]
      def members
        rows_as(db[:memberships], Rows::Member)
          .join(:accounts, id: :account_id)
          .where(household_id: household_id)
          .select(:account_id, :role, Sequel[:accounts][:name], Sequel[:accounts][:email])
          .order(:account_id)
          .all
      end

      # @return [Integer] 1 when there is such a member
      def set_role(account_id, role)
        db[:memberships].where(household_id: household_id, account_id: account_id).update(role: role)
      end

      # Whoever leaves takes along every way in: the feeds they opened and the links they gave.
      def leave(account_id)
        rows(:calendar_feeds).where(account_id: account_id, revoked_at: nil).update(
          revoked_at: Sequel::CURRENT_TIMESTAMP
        )
        rows(:invitations).where(account_id: account_id, used_at: nil, revoked_at: nil).update(
          revoked_at: Sequel::CURRENT_TIMESTAMP
        )
        db[:memberships].where(household_id: household_id, account_id: account_id).delete
      end

      # A closed account belongs nowhere.
      def self.leave_everywhere(db, account_id)
        db.transaction do
          db[:memberships].where(account_id: account_id).select_map(:household_id).each do |id|
            db.get(Sequel.function(:set_config, "nut_shelf.household", id.to_s, true))
            Households.new(db, id).bump
            new(db, id).leave(account_id)
          end
        end
      end
    end
  end
end
