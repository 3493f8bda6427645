# frozen_string_literal: true

require "base64"
require_relative "../act"

module NutShelf
  module Desk
    # A photograph of a place, to be looked at in the shop. What a file says it is counts for nothing; its first bytes do.
    class AddPhoto < Act
      MAX = 3_000_000
      KINDS = { "image/jpeg" => /\A\xFF\xD8\xFF/n, "image/png" => /\A\x89PNG\r\n\x1A\n/n, "image/webp" => /\ARIFF....WEBP/mn }.freeze

      private

      # @param input [Hash] :place_id, :content in base64
      def perform(input)
        place = house.places.find(input[:place_id])
        bytes = Base64.strict_decode64(input[:content])
        refuse("The picture is larger than 3 MB.", "Take a smaller one.") if bytes.bytesize > MAX
        kind = KINDS.find { |_, start| bytes.b.match?(start) }&.first or refuse("That is no JPEG, PNG or WebP picture.", "Choose a photograph.")
        added = entry("add_photo", "New picture of #{place[:name]}")
        id = house.places.add_photo(place_id: place[:id], media_type: kind, bytes: bytes)
        house.records.event(act_id: added.act_id, record: "photo", record_id: id, before: {}, after: { "place_id" => place[:id] })
        done(added, place_id: place[:id])
      rescue ArgumentError
        refuse("The picture did not arrive whole.", "Choose it again.")
      end

      def refuse(message, remedy) = raise(Invalid.new(message, code: "invalid", pointer: "/content", remedy: remedy))
    end
  end
end
