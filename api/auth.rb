# frozen_string_literal: true

require "roda"
require "roda/session_middleware"
require_relative "body"
require_relative "problem"
require_relative "sign_in_rules"
require_relative "../core/limits"

module NutShelf
  module Api
    # Sign-in: sessions that end, CSRF for every write, and Rodauth's routes under /api. Stands before the resources,
    # which refuse whatever did not pass here.
    module Auth
      # The doors that Rodauth serves, and what the contract wants there.
      DOORS = {
        "/api/login" => "Login", "/api/logout" => "Logout", "/api/change-password" => "ChangePassword",
        "/api/close-account" => "CloseAccount"
      }.freeze
      WRITES = %w[POST PUT PATCH DELETE].freeze
      REMEMBERED = /\A\d{1,18}_[\w-]{20,100}\z/

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
      def build(database:, secret:, secure:)
        Class.new(Roda) do
          plugin :middleware
          plugin :route_csrf, check_header: :only, require_request_specific_tokens: false, csrf_failure: :raise
          Auth.rodauth(self, database, secret, secure)

          route do |r|
            next unless r.path.start_with?("/api/")

            check_csrf! if WRITES.include?(r.request_method)
            Auth.recognise(rodauth, r)
            Auth.pass_on(rodauth, r.env, -> { csrf_token })
            next unless DOORS.key?(r.path)

            Auth.read_body(r)
            r.on("api") { r.rodauth }
          end
        end
      end

      # Rodauth takes words wherever it finds them; only what fits the contract comes that far.
      def read_body(request)
        request.env["roda.json_params"] = Body.read(
          request.env["rack.input"],
          Core::Limits.body(request.path),
          DOORS.fetch(request.path)
        )
      rescue Body::Refused => e
        request.halt(Problem.answer(*e.answer))
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
        app.plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
        app.plugin :rodauth, json: :only do
          db database.sequel
          hmac_secret secret
          SignInRules::ALL.each { |rules| instance_exec(&rules) }
          remember_cookie_options Auth.cookie(secure)
          auth_class_eval { include SignInRules::Own }
        end
      end

      def sign_in(rodauth, account_id)
        rodauth.instance_exec do
          account_from_id(account_id)
          login_session("password")
        end
      end

      # A house is never left without a keeper.
      def keep_a_keeper(rodauth)
        last = Store::Households.last_keeper_of(rodauth.db, rodauth.account_id) or return
        rodauth.request.halt(
          Problem.answer(
            *Problem.document(
              "last_keeper",
              "You are the only keeper of #{last}.",
              "Make somebody else a keeper first."
            )
          )
        )
      end
    end
  end
end
