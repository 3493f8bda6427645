# frozen_string_literal: true

require "rack/attack"
require_relative "problem"
require_relative "../store/tallies"

module NutShelf
  module Api
    # Slows down guessing at the door and floods on the heavy routes.
    module Throttle
      LIMITS = {
        "/api/login" => [20, 60], "/api/first-start" => [10, 60], "/api/join" => [20, 60],
        "/api/join/look" => [30, 60], "/api/import" => [30, 60], "/api/import/preview" => [60, 60],
        "/api/change-password" => [10, 60], "/api/close-account" => [10, 60]
      }.freeze

      module_function

      # @param tallies [Store::Tallies] where all web processes count together
      # @param behind_proxy [Boolean] whether a proxy of ours says who asks; else only the connection does
      def set_up(tallies, behind_proxy: false)
        Rack::Attack.cache.store = tallies
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
