# frozen_string_literal: true

require "icalendar"
require_relative "../core/value"

module NutShelf
  module Exchange
    # Whole-day entries as iCalendar (RFC 5545): last good days, thawing, care, checks.
    class CalendarFeed
      # One entry: a name that stays the same over time, a day, words. Frozen.
      Entry = Core::Value.of(:uid, :on, :summary, :description, :category)

      # In the morning of the day, so that there is time to do it.
      MORNING = "PT8H"

      # @param name [String] of the calendar
      # @param stamp [Time] when the stock last changed, UTC
      # @param house [String] its own name among all houses, so that entries of two households never share a name
      def initialize(name, stamp, house: "house")
        @house = house
        @name = name
        @stamp = stamp
      end

      # @param entries [Array<Entry>]
      # @return [String]
      def write(entries)
        calendar = Icalendar::Calendar.new
        calendar.prodid = "-//Nut Shelf//Shelf//EN"
        calendar.append_custom_property("X-WR-CALNAME", plain(@name))
        calendar.append_custom_property("REFRESH-INTERVAL;VALUE=DURATION", "PT6H")
        entries.each { |entry| calendar.add_event(event(entry)) }
        calendar.to_ical
      end

      private

      def event(entry)
        event = Icalendar::Event.new
        event.uid = "#{entry.uid}@#{@house}.nut-shelf.invalid"
        event.dtstamp = Icalendar::Values::DateTime.new(@stamp.utc, "tzid" => "UTC")
        event.dtstart = Icalendar::Values::Date.new(entry.on)
        event.dtend = Icalendar::Values::Date.new(entry.on + 1)
        event.summary = plain(entry.summary)
        event.description = plain(entry.description) unless entry.description.to_s.empty?
        event.categories = [entry.category]
        event.transp = "TRANSPARENT"
        remind(event)
        event
      end

      def remind(event)
        event.alarm do |alarm|
          alarm.action = "DISPLAY"
          alarm.trigger = MORNING
          alarm.description = event.summary
        end
      end

      # Control characters are no part of a text line (RFC 5545, 3.3.11).
      def plain(text) = text.to_s.gsub(/[[:cntrl:]&&[^\n\t]]/, " ")
    end
  end
end
