# frozen_string_literal: true

require "sequel"
require_relative "rows"

module NutShelf
  module Store
    # Accounts, which stand outside the household wall.
    module Accounts
      # Two who make the first household at once: PostgreSQL lets one through at a time.
      FIRST_START = 720_411

      module_function

      # @param email [String]
      # @return [Integer, nil] its id
      def by_email(db, email) = db[:accounts].where(email: email).get(:id)

      # @return [Rows::Account, nil]
      def find(db, id) = Rows.typed(db[:accounts], Rows::Account).first(id: id)

      # @param password_hash [String] of Argon2
      # @return [Integer] id
      # @raise [Taken] when somebody has that e-mail address
      def add(db, email:, name:, password_hash:)
        db[:accounts].insert(email: email, name: name, password_hash: password_hash)
      end

      # @param from [String] e-mail address
      # @param to [String]
      def change_email(db, from:, to:) = db[:accounts].where(email: from).update(email: to)

      # A new password; whoever was signed in with the old one is not any more.
      def renew(db, id, password_hash)
        db[:accounts].where(id: id).update(password_hash: password_hash)
        db[:account_active_session_keys].where(account_id: id).delete
      end

      # Runs the block while nobody else makes the first household.
      # SELECT pg_advisory_xact_lock(720411)
      def alone_at_first_start(db)
        db.transaction do
          db.get(Sequel.function(:pg_advisory_xact_lock, FIRST_START))
          yield
        end
      end

      # Sees one household from here on, to the end of the transaction.
      # SELECT set_config('nut_shelf.household', '7', true)
      def enter(db, household_id)
        db.get(Sequel.function(:set_config, "nut_shelf.household", household_id.to_s, true))
      end

      # SELECT 1 FROM account_active_session_keys JOIN accounts ... WHERE session_id IN ('...') AND created_at > ...
      #   AND status_id = 2
      # @param sessions [Sequel::Dataset] of one account
      # @param session_ids [Array<String>] one id under every key in use
      # @param seconds [Integer] a session lasts
      # @return [Boolean] whether this session was neither ended nor outlived
      def session_alive?(sessions, session_ids, seconds:, open_status:)
        !sessions
          .where(session_id: session_ids)
          .where(Sequel[:created_at] > Time.now - seconds)
          .join(:accounts, id: :account_id)
          .where(status_id: open_status)
          .empty?
      end

      # Forgets the wrong tries of an account.
      # DELETE FROM account_lockouts WHERE id = 3; DELETE FROM account_login_failures WHERE id = 3
      # @return [Boolean] whether there is such an account
      def unlock(db, email)
        id = by_email(db, email) or return false
        %i[account_lockouts account_login_failures].each { |table| db[table].where(id: id).delete }
        true
      end
    end
  end
end
