# frozen_string_literal: true

require "uri"
require_relative "../base"
require_relative "../../exchange/square_code"

module NutShelf
  module Api
    # How the phones of the house get here: the address as a square code, and what to trust.
    class Phones < Base
      set :address, ""
      set :trust, nil
      LOOPBACK = %w[localhost 127.0.0.1 ::1].freeze

      get("/") do
        trust = settings.trust
        begins = trust ? trust["address"] : settings.address
        json({
          address: settings.address, begins: begins, fingerprint: trust && trust["fingerprint"],
          secure: settings.address.start_with?("https:"), reachable: !LOOPBACK.include?(URI.parse(begins).hostname),
          code: Exchange::SquareCode.modules(begins).map { |row| row.map { |dark| dark ? 1 : 0 }.join }
        })
      end
    end
  end
end
