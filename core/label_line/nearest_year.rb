# frozen_string_literal: true

require "date"
require_relative "date_reading"

module NutShelf
  module Core
    module LabelLine
      # The part of DateForms that finds the year where none was said: best before and use by look forward,
      # opened, frozen and made look back. A day that passed lately is offered beside the one to come.
      module NearestYear
        NEAR = 90

        private

        def days_near(month, day)
          dates =
            (-4..8).filter_map do |shift|
              Date.valid_date?(@today.year + shift, month, day) ? Date.new(@today.year + shift, month, day) : nil
            end
          near(dates).map { |date| DateReading.new(on: date, precision: :day, year_said: false) }
        end

        def months_near(month)
          dates = (-1..1).map { |shift| Date.new(@today.year + shift, month, -1) }
          near(dates).map { |date| DateReading.new(on: date, precision: :month, year_said: false) }
        end

        def near(dates)
          past, coming = dates.partition { |date| date < @today }
          return [past.push(*coming.select { |date| date == @today }).max].compact if @back

          recent = past.max
          recent && @today - recent <= NEAR ? [recent, coming.min] : [coming.min].compact
        end
      end
    end
  end
end
