# frozen_string_literal: true

require "roda"
require_relative "passwords"
require_relative "../store/accounts"

module NutShelf
  module Api
    # How Rodauth is set up, one concern a block. Each runs as the configuration.
    module SignInRules
      # Said for an unknown name and a wrong password alike.
      WRONG = "That name and password do not belong together."
      # A guesser waits; whoever owns the account waits no longer than this, or asks for bin/unlock.
      LOCKED_MINUTES = 10
      TRIES = 8
      SESSION_SECONDS = 86_400 * 60

      ACCOUNTS =
        proc do
          enable :json, :login, :logout, :lockout, :remember, :active_sessions, :change_password, :close_account
          domain "nut-shelf.invalid"
          already_logged_in { nil }
          prefix "/api"
          accounts_table :accounts
          account_password_hash_column :password_hash
          %i[unlock_account_route unlock_account_request_route remember_route].each { |name| public_send(name, nil) }
          %i[
            require_login_confirmation? require_password_confirmation? require_mail? require_bcrypt?
            skip_status_checks? delete_account_on_close?
          ].each { |name| public_send(name, false) }
          account_open_status_value 2
          account_closed_status_value 3
          logged_in? { !session_value.nil? }
        end

      # Guessing learns nothing but that it was wrong, and slows down.
      GUESSING =
        proc do
          %i[login_error_status no_matching_login_error_status unopen_account_error_status].each do |name|
            public_send(name, 401)
          end
          %i[no_matching_login_message invalid_password_message unverified_account_message].each do |name|
            public_send(name, WRONG)
          end
          max_invalid_logins TRIES
          account_lockouts_deadline_interval({ minutes: LOCKED_MINUTES })
          set_deadline_values? true
          lockout_error_status 429
          account_from_login do |login|
            super(login) || (Passwords.match?(Passwords::NOBODY, param_or_nil(password_param).to_s) && nil)
          end
          json_response_body { |hash| super(told(hash)) }
        end

      # One place hashes, and weighs.
      HASHING =
        proc do
          password_hash { |password| Passwords.hash(password) }
          password_minimum_length Passwords::SHORTEST
          password_maximum_bytes 500
          same_as_existing_password_message "It is the one you have now"
          password_meets_requirements? do |password|
            super(password) &&
              (
                Passwords.fault(password).nil? ||
                  (set_password_requirement_error_message(:weak, Passwords.fault(password)) && false)
              )
          end
        end

      # Sessions end: on log-out, change of password and a closed account, here and on every other device.
      ENDINGS =
        proc do
          session_inactivity_deadline nil
          session_lifetime_deadline SESSION_SECONDS
          after_login { remember_login if raw_param("remember") == true }
          before_logout do
            remove_remember_key(session_value) if logged_in?
            super()
          end
          after_change_password do
            disable_remember_login
            remove_all_active_sessions_except_current
            super()
          end
          before_close_account do
            Auth.keep_a_keeper(self)
            super()
          end
          after_close_account do
            Store::Access.leave_everywhere(db, account_id)
            super()
          end
        end

      ALL = [ACCOUNTS, GUESSING, HASHING, ENDINGS].freeze

      # What Rodauth asks us to do in our own way.
      module Own
        def password_hash_match?(hash, password) = Passwords.match?(hash, password)

        # Which field was wrong is told to nobody at the door; what ails a new password is told to whoever chose it.
        def told(hash)
          field, reason = hash["field-error"]
          said = hash.except("field-error", "reason")
          return said unless field == new_password_param

          said.merge(
            "error" =>
              "That password will not do. #{Passwords.fault(param(new_password_param)) || "#{reason.capitalize}."}"
          )
        end

        # One small query a request, instead of a write.
        # @return [Boolean] whether this session was neither ended nor outlived
        def alive?
          id = session[session_id_session_key].to_s
          Store::Accounts.session_alive?(
            active_sessions_ds, compute_hmacs(id), seconds: session_lifetime_deadline,
            open_status: account_open_status_value
          )
        end
      end
    end
  end
end
