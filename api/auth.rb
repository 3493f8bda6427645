# frozen_string_literal: true

require "roda"
require "roda/session_middleware"
require_relative "passwords"
require_relative "problem"

module NutShelf
  module Api
    # Sign-in: sessions that end, CSRF for every write, and Rodauth's routes under /api. Stands before the resources,
    # which refuse whatever did not pass here.
    module Auth
      PATHS = %w[/api/login /api/logout /api/change-password /api/close-account].freeze
      WRITES = %w[POST PUT PATCH DELETE].freeze
      # Said for an unknown name and a wrong password alike.
      WRONG = "That name and password do not belong together."
      # A guesser waits; whoever owns the account waits no longer than this, or asks for bin/unlock.
      LOCKED_MINUTES = 10
      TRIES = 8
      REMEMBERED = /\A\d{1,18}_[\w-]{20,100}\z/

      # What Rodauth asks us to do in our own way.
      module Own
        def password_hash_match?(hash, password) = Passwords.match?(hash, password)

        # One small query a request, instead of a write.
        # SELECT 1 FROM account_active_session_keys JOIN accounts ... WHERE session_id = '...' AND created_at > ... AND status_id = 2
        def alive?
          id = session[session_id_session_key] or return false
          !active_sessions_ds.where(session_id: compute_hmacs(id)).where(Sequel[:created_at] > Time.now - session_lifetime_deadline)
                             .join(:accounts, id: :account_id).where(status_id: account_open_status_value).empty?
        end
      end

      module_function

      # @param secure [Boolean] whether cookies need TLS
      # @return [Array] the session middleware and its options
      def session(secret, secure:)
        [RodaSessionMiddleware, { secret: secret, key: "nut_shelf", cookie_options: cookie(secure) }]
      end

      def cookie(secure) = { same_site: :lax, httponly: true, secure: secure, path: "/" }

      # @param database [Store::Database]
      # @param secret [String] at least 64 bytes
      # @param secure [Boolean] whether cookies need TLS
      # @return [Class] Roda middleware; needs the session of `session` before it
      def build(database:, secret:, secure: false)
        Class.new(Roda) do
          plugin :middleware
          plugin :route_csrf, check_header: :only, require_request_specific_tokens: false, csrf_failure: :raise
          Auth.rodauth(self, database, secret, secure)

          route do |r|
            next unless r.path.start_with?("/api/")

            check_csrf! if WRITES.include?(r.request_method)
            Auth.recognise(rodauth, r)
            Auth.pass_on(rodauth, r.env, -> { csrf_token })
            r.on("api") { r.rodauth } if PATHS.include?(r.path)
            nil
          end
        end
      end

      # Who this is: by the session while it lives, else by the cookie of a remembered device.
      def recognise(rodauth, request)
        rodauth.instance_exec { clear_session if logged_in? && !alive? }
        rodauth.load_memory if !rodauth.logged_in? && request.cookies["_remember"].to_s.match?(REMEMBERED)
      end

      def pass_on(rodauth, env, token)
        env["nut_shelf.guarded"] = true
        env["nut_shelf.account_id"] = rodauth.session_value
        env["nut_shelf.household_id"] = rodauth.session["household"]
        env["nut_shelf.choose"] = ->(id) { rodauth.session["household"] = id }
        env["nut_shelf.csrf"] = token
        env["nut_shelf.login"] = ->(account_id) { Auth.sign_in(rodauth, account_id) }
      end

      def rodauth(app, database, secret, secure)
        app.plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i, error_handler: ->(_) { throw(:halt, Problem.answer(*Problem.document("bad_json", "What was sent is not JSON.", "Send it again."))) }
        app.plugin :rodauth, json: :only do
          enable :json, :login, :logout, :lockout, :remember, :active_sessions, :change_password, :close_account
          db database.sequel
          hmac_secret secret
          domain "nut-shelf.invalid"
          already_logged_in { nil }
          prefix "/api"
          accounts_table :accounts
          account_password_hash_column :password_hash
          use_database_authentication_functions? false
          unlock_account_route nil
          unlock_account_request_route nil
          remember_route nil
          require_login_confirmation? false
          require_password_confirmation? false
          require_mail? false
          require_bcrypt? false
          skip_status_checks? false
          account_open_status_value 2
          account_closed_status_value 3
          delete_account_on_close? false
          logged_in? { !session_value.nil? }

          # Guessing learns nothing but that it was wrong, and slows down.
          login_error_status 401
          no_matching_login_error_status 401
          unopen_account_error_status 401
          no_matching_login_message WRONG
          invalid_password_message WRONG
          unverified_account_message WRONG
          max_invalid_logins TRIES
          account_lockouts_deadline_interval({ minutes: LOCKED_MINUTES })
          set_deadline_values? true
          lockout_error_status 429
          account_from_login { |login| super(login) || (Passwords.match?(Passwords::NOBODY, param_or_nil(password_param).to_s) && nil) }
          json_response_body { |hash| super(hash.except("field-error", "reason")) }

          # One place hashes.
          password_hash { |password| Passwords.hash(password) }
          password_minimum_length Passwords::SHORTEST
          password_maximum_bytes 500
          password_meets_requirements? { |password| super(password) && (Passwords.fault(password).nil? || (set_password_requirement_error_message(:weak, Passwords.fault(password)) && false)) }

          # Sessions end: on log-out, change of password and a closed account, here and on every other device.
          session_inactivity_deadline nil
          session_lifetime_deadline 86_400 * 60
          remember_cookie_options Auth.cookie(secure)
          after_login { remember_login if param_or_nil("remember") == "true" || raw_param("remember") == true }
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
            Auth.leave_everywhere(db, account_id)
            super()
          end
          auth_class_eval { include Auth::Own }
        end
      end

      def sign_in(rodauth, account_id)
        rodauth.instance_exec do
          @account = db[:accounts].first(id: account_id)
          login_session("password")
        end
      end

      # A house is never left without a keeper.
      def keep_a_keeper(rodauth)
        last = Store::Households.last_keeper_of(rodauth.db, rodauth.account_id) or return
        rodauth.request.halt(Problem.answer(*Problem.document("last_keeper", "You are the only keeper of #{last}.", "Make somebody else a keeper first.")))
      end

      def leave_everywhere(db, account_id) = Store::Doors.leave_everywhere(db, account_id)
    end
  end
end
