# frozen_string_literal: true

require_relative "../act"
require_relative "../../core/limits"
require_relative "../picture"
require_relative "../refusal"

module NutShelf
  module Desk
    # A photograph of a place, to be looked at in the shop.
    class AddPhoto < Act
      private

      # @param input [Hash] :place_id, :content in base64
      def perform(input)
        place = work.place_in_use(house.places.find(input[:place_id]).id)
        photo = Picture.read(input[:content])
        most = Core::Limits::PHOTOS_OF_A_PLACE
        raise Refusal.of(:photos_full, most: most, place: place.name) if house.places.photo_count(place.id) >= most

        added = entry("add_photo", "New picture of #{place.name}")
        id = house.places.add_photo(place_id: place.id, media_type: photo.media_type, bytes: photo.bytes)
        added.made("photo", id, { place_id: place.id })
        done(added, place_id: place.id)
      end
    end
  end
end
