# frozen_string_literal: true

require_relative "../core/planning/thaw"
require_relative "../exchange/calendar_feed"
require_relative "places_due"

module NutShelf
  module Desk
    # What a household's calendar shows: last good days of the coming weeks, what has to thaw for a planned meal, care
    # and checks that are due.
    class CalendarEntries
      AHEAD = 60

      # @param work [UnitOfWork]
      # @param thawing [Array<Thawing::Task>]
      def initialize(work, thawing)
        @work = work
        @thawing = thawing
      end

      # @return [Array<Exchange::CalendarFeed::Entry>] by day
      def entries = [*last_days, *thaws, *care, *counts].sort_by { |entry| [entry.on, entry.uid] }

      private

      def entry(**facts) = Exchange::CalendarFeed::Entry.new(**facts)

      def last_days
        turning.map do |stack|
          entry(
            uid: "stack-#{stack.id}",
            on: stack.usable_until,
            category: "LAST GOOD DAY",
            summary: "Last good day: #{stack.name(@work.food(stack.food_id))}",
            description: "#{@work.wording(stack)} in #{stack.place}"
          )
        end
      end

      def turning
        span = @work.today..(@work.today + AHEAD)
        @work.shelf.stacks.each_value.select { |stack| span.cover?(stack.usable_until) && !stack.stopped }
      end

      def thaws
        @thawing.map do |task|
          entry(
            uid: "thaw-#{task.meal_id}-#{task.lot_id}",
            on: task.on,
            summary: "Take out to thaw: #{task.name}",
            description: "#{task.amount} from #{task.place}, for #{task.meal}",
            category: "THAW"
          )
        end
      end

      def care
        @work.house.care.due(@work.today + AHEAD).map do |rule|
          entry(
            uid: "care-#{rule.id}",
            on: [rule.next_on, @work.today].max,
            summary: rule.title,
            description: place(rule),
            category: "CARE"
          )
        end
      end

      def place(rule) = rule.where_id ? @work.place(rule.where_id).name : ""

      def counts
        PlacesDue.new(@work).by_rhythm.map do |place, due|
          entry(
            uid: "count-#{place.id}",
            on: @work.today,
            summary: "Count #{place.name}",
            description: due.reason,
            category: "CHECK"
          )
        end
      end
    end
  end
end
