# frozen_string_literal: true

require "rack/attack"
require_relative "problem"

module NutShelf
  module Api
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

      def write(key, value, expires_in: 60)
        @lock.synchronize { @counts[key] = [value, Process.clock_gettime(Process::CLOCK_MONOTONIC) + expires_in] }
      end

      def delete(key) = @lock.synchronize { @counts.delete(key) }
    end

    # Slows down guessing at the door and floods on the heavy routes.
    module Throttle
      LIMITS = {
        "/api/login" => [20, 60], "/api/first-start" => [10, 60], "/api/join" => [20, 60],
        "/api/join/look" => [30, 60], "/api/import" => [30, 60], "/api/import/preview" => [60, 60],
        "/api/change-password" => [10, 60], "/api/close-account" => [10, 60]
      }.freeze

      module_function

      # @param behind_proxy [Boolean] whether a proxy of ours says who asks; else only the connection does
      def set_up(behind_proxy: false)
        Rack::Attack.cache.store = Tally.new
        address = behind_proxy ? lambda(&:ip) : ->(request) { request.env["REMOTE_ADDR"] }
        LIMITS.each do |path, (limit, period)|
          Rack::Attack.throttle(path, limit: limit, period: period) do |request|
            address.call(request) if request.post? && request.path == path
          end
        end
        # Guessing a calendar's address, and printing by the thousand.
        Rack::Attack.throttle("calendar", limit: 60, period: 60) do |request|
          address.call(request) if request.path.start_with?("/api/calendar/")
        end
        Rack::Attack.throttle("labels", limit: 60, period: 60) do |request|
          address.call(request) if request.path.start_with?("/api/labels/")
        end
        Rack::Attack.throttled_responder = lambda { |_request|
          Problem.answer(
            *Problem.document("too_many", "That was too often in a short time.", "Wait a minute and try again.")
          )
        }
      end
    end
  end
end
