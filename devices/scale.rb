# frozen_string_literal: true

require_relative "../core/quantity/decimal"
require_relative "../core/value"

module NutShelf
  module Devices
    # A kitchen scale as the house sees it: it can be asked what lies on it. The one that ships is a stand-in whose
    # readings a page (or any small program beside a real scale) sends in; a driver for a real one answers the same.
    class Scale
      # What lies on the scale: gross and net grams as decimal text (nil when nothing was read yet), whether it has
      # settled, and the tare that was taken off. Frozen.
      Weight = Core::Value.of(:gross_g, :net_g, :tare_g, :steady)

      # @param readings [#last] where the last reading lies, by device name
      def initialize(readings)
        @readings = readings
      end

      # @param tare [Numeric, nil] grams of the empty jar
      # @return [Weight]
      def weigh(tare: nil)
        row = @readings.last("scale") or return Weight.new(steady: false)
        gross = row.reading.to_h.fetch("grams").to_r
        net = [gross - (tare || 0).to_r, 0r].max
        Weight.new(
          gross_g: Core::Decimal.print(gross),
          net_g: Core::Decimal.print(net),
          tare_g: tare && Core::Decimal.print(tare.to_r),
          steady: row.reading.to_h["steady"] == true
        )
      end
    end
  end
end
