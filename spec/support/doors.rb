# frozen_string_literal: true

require_relative "api"

# Every route the contract names, and how it is called.
module Doors
  OUTSIDE = %w[
    /api/session /api/login /api/first-start /api/demo-sign-in /api/logout /api/change-password /api/close-account
    /api/join /api/join/look /api/calendar/{token}.ics
  ].freeze
  # Verb and path of all that are for who is signed in.
  INSIDE =
    ApiSupport::Contract::DOCUMENT["paths"]
      .flat_map { |path, item| item.keys.map { |verb| [verb, path] } }
      .reject { |_, path| OUTSIDE.include?(path) }
      .freeze

  def call_route(verb, path, id: 1, body: {}, **more)
    path = path.sub("{id}", id.to_s)
    verb == "get" ? ask(path) : tell(path, body, **more)
  end
end
