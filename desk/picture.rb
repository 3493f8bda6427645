# frozen_string_literal: true

require "base64"
require_relative "../exchange/photo"
require_relative "refusal"

module NutShelf
  module Desk
    # A picture as it is sent. What a file says it is counts for nothing; its bytes do.
    module Picture
      module_function

      # @param text [String] in base64
      # @return [Exchange::Photo]
      # @raise [Invalid] for what is torn, or no picture
      def read(text)
        Exchange::Photo.new(Base64.strict_decode64(text))
      rescue ArgumentError
        raise Refusal.of(:photo_torn, at: "/content")
      rescue Exchange::Photo::Unfit => e
        raise Refusal.of(:photo_unfit, at: "/content", words: e.message)
      end
    end
  end
end
