# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # What heat does to the dates of a box that stands in it (docs/kits.md, boxes): days count more than once, by the
      # warmest it gets there. Dates only ever come sooner.
      module WarmBox
        # Degrees Celsius up to which a factor holds; above the last, HOT.
        FACTORS = { 25 => 1r, 35 => 3/2r }.freeze
        HOT = 2r

        module_function

        # @param high_c [Integer, nil] the warmest of the place, nil where nobody said
        # @return [Rational] how often a day counts there
        def factor(high_c) = high_c ? FACTORS.find { |most, _| high_c <= most }&.last || HOT : 1r

        # @param date [Date, nil] the last good day elsewhere
        # @param since [Date] in the box since
        # @param today [Date]
        # @return [Date, nil] what it is once the heat so far is taken off
        def so_far(date, since:, today:, high_c:)
          date && (date - ((factor(high_c) - 1) * [(today - since).to_i, 0].max).ceil)
        end

        # @return [Date, nil] the last good day if it stays in the box from that day on
        def inside(date, from:, high_c:)
          return date if date.nil? || date <= from

          from + ((date - from).to_i / factor(high_c)).floor
        end

        # @param reach [Date] a day it must be good inside
        # @param from [Date] when it comes into the box
        # @return [Date] the date it must carry when it comes from elsewhere
        def needed(reach, from:, high_c:) = from + (factor(high_c) * [(reach - from).to_i, 0].max).ceil
      end
    end
  end
end
