# frozen_string_literal: true

require "date"
require "tzinfo"

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

      # @param moment [Time]
      # @param zone [String, nil] IANA time zone of the household
      # @return [Time] the same moment as clocks there show it
      def at(moment, zone = nil) = zone ? (zone(zone) || TZInfo::Timezone.get("UTC")).to_local(moment) : moment.getlocal

      # @param name [String]
      # @return [Boolean] whether that is an IANA time zone
      def zone_known?(name) = !zone(name).nil?

      def day_in(name)
        return Date.today if name.nil?

        (zone(name) || TZInfo::Timezone.get("UTC")).now.to_date
      end

      def zone(name)
        TZInfo::Timezone.get(name).tap(&:current_period)
      rescue TZInfo::InvalidTimezoneIdentifier, TZInfo::InvalidZoneinfoFile
        nil
      end
    end
  end
end
