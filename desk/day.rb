# frozen_string_literal: true

require "date"
require_relative "errors"

module NutShelf
  module Desk
    # Days as people send them.
    module Day
      # Before this nothing in a house was packed, after that nobody will open it.
      YEARS = (1900..2200)

      module_function

      # @param field [Symbol] where it stands in what was sent
      # @param value [String, Date, nil]
      # @return [Date, nil]
      # @raise [Invalid]
      def read(field, value)
        return value if value.nil? || value.is_a?(Date)

        day = Date.iso8601(value)
        YEARS.cover?(day.year) ? day : refuse(field, "#{value} is no day a pack could carry.", "Check the year.")
      rescue Date::Error
        refuse(field, "#{value} is no day.", "Write it like 2026-11-24.")
      end

      # @raise [Invalid] naming the field
      def refuse(field, message, remedy)
        raise(Invalid.new(message, code: "invalid", pointer: "/#{field}", remedy: remedy))
      end
    end
  end
end
