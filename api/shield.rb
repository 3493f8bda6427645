# frozen_string_literal: true

require "rack/attack"
require "securerandom"
require_relative "problem"

module NutShelf
  module Api
    # Answers errors of the outer layers as problem documents, and adds the headers every answer carries.
    class Shield
      HEADERS = { "x-content-type-options" => "nosniff", "referrer-policy" => "same-origin", "x-frame-options" => "DENY", "cross-origin-opener-policy" => "same-origin",
                  "permissions-policy" => "geolocation=(), microphone=()" }.freeze

      # Browsers show a PDF by an object of their own; a sheet of labels has no script to fear.
      PAPER = "default-src 'none'; object-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'none'"

      def initialize(app)
        @app = app
      end

      def call(env)
        env["nut_shelf.nonce"] = SecureRandom.alphanumeric(20)
        status, headers, body = guarded(env)
        [status, { **headers, **HEADERS, "content-security-policy" => paper?(headers) ? PAPER : policy(env["nut_shelf.nonce"]) }, body]
      end

      private

      def guarded(env)
        @app.call(env)
      rescue Roda::RodaPlugins::RouteCsrf::InvalidToken
        Problem.answer(*Problem.document("csrf", "This page is out of date.", "Reload it and try again. What you typed is kept."))
      rescue Sequel::DatabaseError, Sequel::PoolTimeout, Store::Error => e
        away = e.is_a?(Store::Error) ? e : Store::Away.new(e.message)
        raise e unless away_error?(e)

        Problem.answer(*Problem.from(away))
      rescue StandardError => e
        warn "#{e.class}: #{e.message}\n#{e.backtrace.first(8).join("\n")}"
        Problem.answer(*Problem.from(e))
      end

      def paper?(headers) = headers["content-type"].to_s.start_with?("application/pdf")

      def away_error?(error) = [Sequel::DatabaseDisconnectError, Sequel::DatabaseConnectionError, Sequel::PoolTimeout, Store::Error].any? { |klass| error.is_a?(klass) }

      def policy(nonce)
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-#{nonce}'; font-src 'self'; img-src 'self' data:; connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'; manifest-src 'self'"
      end
    end

    # Counts tries in this worker's memory; what must agree between workers (the lockout) is in the database.
    class Tally
      def initialize
        @lock = Mutex.new
        @counts = {}
      end

      def increment(key, amount = 1, expires_in: 60)
        @lock.synchronize do
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          @counts.delete_if { |_, (_, ends)| ends < now } if @counts.size > 10_000
          count, ends = @counts[key]
          if count.nil? || ends < now
            count = 0
            ends = now + expires_in
          end
          @counts[key] = [count + amount, ends]
          count + amount
        end
      end

      def read(key) = @lock.synchronize { @counts[key]&.first }

      def write(key, value, expires_in: 60) = @lock.synchronize { @counts[key] = [value, Process.clock_gettime(Process::CLOCK_MONOTONIC) + expires_in] }

      def delete(key) = @lock.synchronize { @counts.delete(key) }
    end

    # Slows down guessing at the door and floods on the heavy routes.
    module Throttle
      LIMITS = { "/api/login" => [20, 60], "/api/first-start" => [10, 60], "/api/join" => [20, 60], "/api/join/look" => [30, 60], "/api/import" => [30, 60], "/api/import/preview" => [60, 60] }.freeze

      module_function

      def set_up
        Rack::Attack.cache.store = Tally.new
        LIMITS.each do |path, (limit, period)|
          Rack::Attack.throttle(path, limit: limit, period: period) { |request| request.ip if request.post? && request.path == path }
        end
        # Guessing a calendar's address, and printing by the thousand.
        Rack::Attack.throttle("calendar", limit: 60, period: 60) { |request| request.ip if request.path.start_with?("/api/calendar/") }
        Rack::Attack.throttle("labels", limit: 60, period: 60) { |request| request.ip if request.path.start_with?("/api/labels/") }
        Rack::Attack.throttled_responder = ->(_request) { Problem.answer(*Problem.document("too_many", "That was too often in a short time.", "Wait a minute and try again.")) }
      end
    end
  end
end
