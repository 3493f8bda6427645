# frozen_string_literal: true

require_relative "../core/planning/thaw"
require_relative "../exchange/calendar_feed"
require_relative "places_due"

module NutShelf
  module Desk
    # What a household's calendar shows: last good days of the coming weeks, what has to thaw for a planned meal, care
    # and checks that are due.
    class CalendarOf
      AHEAD = 60

      # @param room [Room]
      # @param thawing [Array<Hash>] see Thawing
      def initialize(room, thawing)
        @room = room
        @thawing = thawing
      end

      # @return [Array<Exchange::CalendarFeed::Entry>] by day
      def entries = [*last_days, *thaws, *care, *counts].sort_by { |entry| [entry.on, entry.uid] }

      private

      def entry(**facts) = Exchange::CalendarFeed::Entry.new(**facts)

      def last_days
        @room.house.lots.shelf.where(Sequel[:lots][:usable_until] => @room.today..(@room.today + AHEAD)).all.reject { |row| row[:stopped] }.map do |row|
          name = row[:label].empty? ? row[:food_name] : row[:label]
          entry(uid: "stack-#{row[:id]}", on: row[:usable_until], summary: "Last good day: #{name}", description: "#{@room.wording(row)} in #{@room.place(row[:place_id])[:name]}", category: "LAST GOOD DAY")
        end
      end

      def thaws
        @thawing.map do |task|
          entry(uid: "thaw-#{task[:meal_id]}-#{task[:lot_id]}", on: task[:on], summary: "Take out to thaw: #{task[:name]}", description: "#{task[:amount]} from #{task[:place]}, for #{task[:meal]}", category: "THAW")
        end
      end

      def care
        @room.house.care.due(@room.today + AHEAD).map do |rule|
          entry(uid: "care-#{rule[:id]}", on: [rule[:next_on], @room.today].max, summary: rule[:title], description: place(rule), category: "CARE")
        end
      end

      def place(rule)
        return @room.place(rule[:place_id])[:name].to_s if rule[:place_id]

        rule[:lot_id] ? @room.place(@room.house.lots.one(rule[:lot_id])[:place_id])[:name].to_s : ""
      end

      def counts
        PlacesDue.new(@room).by_rhythm.map do |place, due|
          entry(uid: "count-#{place[:id]}", on: @room.today, summary: "Count #{place[:name]}", description: due.reason, category: "CHECK")
        end
      end
    end
  end
end
