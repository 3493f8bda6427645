# frozen_string_literal: true

require "date"
require_relative "../value"

module NutShelf
  module Core
    module LabelLine
      # One way to read a date: the day meant, how precise it was (:day, :month, :year), and whether the
      # year was said. Frozen.
      DateReading =
        Value.of(:on, :precision, :year_said) do
          # Printed month = its last day; printed year = 31 December.
          def self.month(year, month)
            return unless Date.valid_date?(year, month, 1)

            new(on: Date.new(year, month, -1), precision: :month, year_said: true)
          end

          # @return [DateReading] the last day of a year
          def self.year(year) = new(on: Date.new(year, 12, 31), precision: :year, year_said: true)

          # What was done in a month or a year was done on its first day, where nothing tells: then nothing keeps longer
          # than it does.
          # @return [DateReading]
          def earliest
            case precision
            when :month
              self.class.new(on: Date.new(on.year, on.month, 1), precision: precision, year_said: year_said)
            when :year
              self.class.new(on: Date.new(on.year, 1, 1), precision: precision, year_said: year_said)
            else
              self
            end
          end

          # @return [DateReading, nil] nil where there is no such day
          def self.day(year, month, day, year_said: true)
            return unless Date.valid_date?(year, month, day)

            new(on: Date.new(year, month, day), precision: :day, year_said: year_said)
          end
        end
    end
  end
end
