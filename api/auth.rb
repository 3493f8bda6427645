# frozen_string_literal: true

require "roda"
require "roda/session_middleware"
require_relative "problem"

module NutShelf
  module Api
    # Sign-in: sessions, CSRF for every write, and Rodauth's routes under /api. Stands before the resources.
    module Auth
      PATHS = %w[/api/login /api/logout /api/change-password /api/close-account].freeze
      WRITES = %w[POST PUT PATCH DELETE].freeze

      module_function

      # @param secure [Boolean] whether cookies need TLS
      # @return [Array] the session middleware and its options
      def session(secret, secure:)
        [RodaSessionMiddleware, { secret: secret, key: "nut_shelf", cookie_options: { same_site: :lax, httponly: true, secure: secure, path: "/" } }]
      end

      # @param database [Store::Database]
      # @param secret [String] at least 64 bytes
      # @return [Class] Roda middleware; needs the session of `session` before it
      def build(database:, secret:)
        Class.new(Roda) do
          plugin :middleware
          plugin :route_csrf, check_header: :only, require_request_specific_tokens: false, csrf_failure: :raise
          Auth.rodauth(self, database, secret)

          route do |r|
            next unless r.path.start_with?("/api/")

            check_csrf! if WRITES.include?(r.request_method)
            rodauth.load_memory unless rodauth.logged_in?
            r.env["nut_shelf.account_id"] = rodauth.session_value
            r.env["nut_shelf.csrf"] = -> { csrf_token }
            r.env["nut_shelf.login"] = ->(account_id) { Auth.sign_in(rodauth, account_id) }
            r.on("api") { r.rodauth } if PATHS.include?(r.path)
            nil
          end
        end
      end

      def rodauth(app, database, secret)
        app.plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
        app.plugin :rodauth, json: :only do
          enable :json, :login, :logout, :lockout, :remember, :change_password, :close_account, :argon2
          db database.sequel
          hmac_secret secret
          domain "nut-shelf.invalid"
          already_logged_in { nil }
          prefix "/api"
          accounts_table :accounts
          account_password_hash_column :password_hash
          use_database_authentication_functions? false
          max_invalid_logins 8
          unlock_account_route nil
          unlock_account_request_route nil
          remember_route nil
          require_login_confirmation? false
          login_error_status 401
          skip_status_checks? false
          account_open_status_value 2
          delete_account_on_close? false
          logged_in? { !session_value.nil? }
          after_login { remember_login if param_or_nil("remember") == "true" || raw_param("remember") == true }
          require_mail? false
          require_bcrypt? false
          password_minimum_length 10
        end
      end

      def sign_in(rodauth, account_id)
        rodauth.instance_exec do
          @account = db[:accounts].first(id: account_id)
          login_session("password")
        end
      end
    end
  end
end
