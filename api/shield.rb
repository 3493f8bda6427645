# frozen_string_literal: true

require "securerandom"
require_relative "problem"

module NutShelf
  module Api
    # Answers errors of the outer layers as problem documents, and adds the headers every answer carries.
    class Shield
      HEADERS = {
        "x-content-type-options" => "nosniff", "referrer-policy" => "same-origin", "x-frame-options" => "DENY",
        "cross-origin-opener-policy" => "same-origin", "permissions-policy" => "geolocation=(), microphone=()"
      }.freeze

      # Browsers show a PDF by an object of their own; a sheet of labels has no script to fear.
      PAPER = "default-src 'none'; object-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'none'"

      # @param secure [Boolean] whether people reach the app over TLS
      def initialize(app, secure: false)
        @app = app
        @headers = secure ? { **HEADERS, "strict-transport-security" => "max-age=31536000" } : HEADERS
      end

      def call(env)
        env["nut_shelf.nonce"] = SecureRandom.alphanumeric(20)
        status, headers, body = guarded(env)
        headers = { "cache-control" => "no-store", **headers } if env["PATH_INFO"].to_s.start_with?("/api/")
        [
          status,
          {
            **headers,
            **@headers,
            "content-security-policy" => paper?(headers) ? PAPER : policy(env["nut_shelf.nonce"])
          },
          body
        ]
      end

      private

      # Whatever the outer layers raise becomes an answer; nothing passes by.
      def guarded(env)
        @app.call(env)
      rescue Roda::RodaPlugins::RouteCsrf::InvalidToken
        Problem.answer(
          *Problem.document("csrf", "This page is out of date.", "Reload it and try again. What you typed is kept.")
        )
      rescue StandardError => e
        Problem.answer(*Problem.reported(e))
      end

      def paper?(headers) = headers["content-type"].to_s.start_with?("application/pdf")

      def policy(nonce)
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-#{nonce}'; font-src 'self'; img-src 'self' " \
          "data:; connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'; " \
          "manifest-src 'self'; worker-src 'self'"
      end
    end
  end
end
