# frozen_string_literal: true

require_relative "../core/dating/words"
require_relative "../core/planning/thaw"
require_relative "../exchange/calendar_feed"
require_relative "kits/kit_book"
require_relative "occasions"
require_relative "places_due"
require_relative "preparations"
require_relative "season/season_diary"
require_relative "thawing"
require_relative "trips/to_do"

module NutShelf
  module Desk
    # What a household's calendar shows: last good days of the coming weeks, what has to thaw for a planned meal, care
    # and checks that are due.
    class CalendarEntries
      AHEAD = 60

      # @param work [UnitOfWork]
      # @param plan [Plan]
      def initialize(work, plan)
        @work = work
        @plan = plan
      end

      # @return [Array<Exchange::CalendarFeed::Entry>] by day
      def entries
        [*last_days, *meals, *occasions, *thaws, *begins, *care, *counts, *refreshes, *events, *trips, *season]
          .sort_by { |entry| [entry.on, entry.uid] }
      end

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

      def meals
        @work.house.meals.between(@work.today, @work.today + AHEAD).select do |row|
          row.status == "planned"
        end.map do |row|
          entry(
            uid: "meal-#{row.id}", on: row.on_date, category: "MEAL", summary: "#{row.meal.capitalize}: #{name(row)}",
            description: row.total_minutes ? "#{row.total_minutes} minutes" : ""
          )
        end
      end

      def occasions
        all = Occasions.new(@work, @plan)
        all.between(@work.today, @work.today + AHEAD).map do |day, row|
          entry(
            uid: "occasion-#{row.id}-#{day}", on: day, category: "OCCASION", summary: row.name,
            description: "#{all.slot(row, day).eaters.size} at the table, on the table at #{row.serve_at}"
          )
        end
      end

      def name(row)
        return @plan.dishes[row.id]&.name(@plan.shelf.foods) || row.recipe_name if row.kind == "cook"

        { "out" => "eating out", "whatever" => "whatever is left" }.fetch(row.kind, "leftovers")
      end

      def begins
        Preparations.new(@work, @plan).tasks.map do |task|
          entry(
            uid: "#{task.kind}-#{task.meal_id}-#{task.on}", on: task.on, category: "BEGIN", summary: task.text,
            description: "For #{task.meal}"
          )
        end
      end

      def thaws
        Thawing.new(@work, @plan).tasks.map do |task|
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

      # The packs that leave are told on the day: until then more may be eaten.
      def refreshes
        @work.house.kits.all.filter_map do |kit|
          book = Kits::KitBook.new(@work, kit)
          next if book.deep_pantry? || book.refresh_on > @work.today + AHEAD

          entry(
            uid: "kit-#{kit.id}-#{book.refresh_on}", on: book.refresh_on, category: "KIT",
            summary: "Refresh #{kit.name}", description: "What stays must be good until #{book.must_reach}"
          )
        end
      end

      # The day it leaves, and the day before, when bags are filled and packed.
      def trips
        @work.house.trips.all.reject { |trip| trip.status == "home" || trip.leaves_on < @work.today }.flat_map do |trip|
          back = "Back on #{Core::Words.day(trip.back_on)}"
          [
            entry(uid: "trip-#{trip.id}", on: trip.leaves_on, category: "TRIP", summary: "#{trip.name} begins",
              description: back),
            entry(uid: "trip-#{trip.id}-pack", on: [trip.leaves_on - 1, @work.today].max, category: "TRIP",
              summary: "Fill bags and pack for #{trip.name}", description: back),
            *doings(trip)
          ]
        end
      end

      # What is dried, thawed and soaked for it.
      def doings(trip)
        found = Trips::ToDo.new(@work, Trips::TripBook.new(@work, trip)).all
        found.reject { |one| %w[fill pack].include?(one.kind) }.each_with_index.map do |one, at|
          entry(uid: "trip-#{trip.id}-#{one.kind}-#{at}", on: one.on, category: "TRIP", summary: one.words,
            description: "For #{trip.name}")
        end
      end

      def season
        Season::SeasonDiary.new(@work).days(@work.today..(@work.today + AHEAD)).map do |one|
          entry(
            uid: "season-#{one.line_id}-#{one.kind}", on: one.on, category: "SEASON", summary: one.summary,
            description: one.details
          )
        end
      end

      def events
        @work.house.kits.events.map do |event|
          at = @work.services.clock.at(event.hour, @work.household.time_zone)
          entry(
            uid: "event-#{event.id}", on: at.to_date, category: "BEFORE",
            summary: "#{event.name}, #{at.strftime("%H:%M")}",
            description: "The hours before are counted back under Kits"
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
