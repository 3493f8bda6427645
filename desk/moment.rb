# frozen_string_literal: true

require "time"
require_relative "refusal"

module NutShelf
  module Desk
    # Moments as devices send them.
    module Moment
      DAYS = 30
      # A device's clock may be a little ahead.
      AHEAD = 3600

      module_function

      # @param field [Symbol] where it stands in what was sent
      # @param text [String]
      # @return [Time] UTC
      # @raise [Invalid]
      def read(field, text)
        Time.iso8601(text.to_s).utc
      rescue ArgumentError
        raise Refusal.of(:no_moment, at: "/#{field}", said: text)
      end

      # @return [Time] within the last thirty days
      # @raise [Invalid]
      def lately(field, text, now: Time.now.utc)
        moment = read(field, text)
        return moment if moment.between?(now - (DAYS * 86_400), now + AHEAD)

        raise Refusal.of(:cut_long_ago, at: "/#{field}")
      end
    end
  end
end
