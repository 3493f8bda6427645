# frozen_string_literal: true

require "date"

module NutShelf
  module Core
    module Kits
      # The days of the year on which a kit is refreshed, as months and days: "10-01". The 29th of February is the end
      # of that month, in every year.
      module RefreshDay
        # Days a refresh may be late, and days before its day on which it counts as that one.
        LATE = 14
        EARLY = 10

        module_function

        # @param days [Array<String>] "MM-DD", one or more
        # @param day [Date]
        # @return [Date] the first of them after that day
        def after(days, day)
          (day.year..(day.year + 1)).flat_map do |year|
            days.map do |text|
              on(text, year)
            end
          end.select { |one| one > day }.min
        end

        # @param days [Array<String>] "MM-DD", one or more
        # @param today [Date]
        # @param done_on [Date, nil] when the kit was refreshed last, nil where it never was
        # @return [Date] the one that is due next: today's too, and one just missed, as long as nobody did it
        def due(days, today, done_on)
          day = after(days, (done_on ? today - LATE : today) - 1)
          day = after(days, day) while done_on && done_on >= day - EARLY
          day
        end

        # @param text [String] "MM-DD"
        # @return [Date] that day of a year
        # @raise [Date::Error] where there is no such day
        def on(text, year)
          month, day = text.split("-").map { |part| Integer(part, 10) }
          month == 2 && day == 29 ? Date.new(year, 2, -1) : Date.new(year, month, day)
        end
      end
    end
  end
end
