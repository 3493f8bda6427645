# frozen_string_literal: true

require "base64"
require_relative "../act"
require_relative "../../core/limits"
require_relative "../../exchange/photo"

module NutShelf
  module Desk
    # A photograph of a place, to be looked at in the shop. What a file says it is counts for nothing; its bytes do.
    class AddPhoto < Act
      private

      # @param input [Hash] :place_id, :content in base64
      def perform(input)
        place = work.place_in_use(house.places.find(input[:place_id]).id)
        photo = photo(input[:content])
        most = Core::Limits::PHOTOS_OF_A_PLACE
        if house.places.photo_count(place.id) >= most
          raise Conflict.new(
            "#{most} pictures of #{place.name} are kept.",
            code: "nothing_changed",
            remedy: "Undo an earlier one first."
          )
        end

        added = entry("add_photo", "New picture of #{place.name}")
        id = house.places.add_photo(place_id: place.id, media_type: photo.media_type, bytes: photo.bytes)
        added.made("photo", id, { place_id: place.id })
        done(added, place_id: place.id)
      end

      def photo(text)
        Exchange::Photo.new(Base64.strict_decode64(text))
      rescue ArgumentError
        refuse("The picture did not arrive whole.")
      rescue Exchange::Photo::Unfit => e
        refuse(e.message)
      end

      def refuse(message)
        raise(Invalid.new(message, code: "invalid", pointer: "/content", remedy: "Choose another picture."))
      end
    end
  end
end
