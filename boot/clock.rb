# frozen_string_literal: true

require "date"

module NutShelf
  module Boot
    # The one clock. NUT_SHELF_TODAY fixes the day; moments (sessions, lockout) are never moved by it.
    module Clock
      module_function

      # @param zone [String, nil] IANA time zone of the household
      # @return [Date]
      def today(zone = nil)
        fixed = ENV.fetch("NUT_SHELF_TODAY", "")
        fixed.empty? ? day_in(zone) : Date.iso8601(fixed)
      end

      def zone_known?(name) = ZoneOffset.known?(name)

      def day_in(zone)
        return Date.today if zone.nil?

        offset = ZoneOffset.seconds(zone)
        (Time.now.utc + offset).to_date
      end
    end
  end
end

require "time"
require_relative "zone_offset"
