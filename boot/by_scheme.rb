# frozen_string_literal: true

module NutShelf
  module Boot
    # Over TLS the house, without it the page that says how to get there. By the listener that took the connection,
    # which the server notes in HTTPS; `rack.url_scheme` believes headers anybody may send.
    class ByScheme
      # @param house [#call] Rack app
      # @param plain [#call] Rack app
      def initialize(house, plain)
        @house = house
        @plain = plain
      end

      # @param env [Hash] of Rack
      # @return [Array] of Rack
      def call(env) = (env["HTTPS"] == "https" ? @house : @plain).call(env)
    end
  end
end
