# frozen_string_literal: true

require "json"

module NutShelf
  module Exchange
    # The drawn marks on paper: the same paths the screens draw.
    module DrawnMark
      PATHS = JSON.parse(File.read(File.expand_path("../data/marks.json", __dir__))).freeze
      FIELD = 20.0
      PEN = 1.5
      STEP = /([MLCZ])([^MLCZ]*)/

      module_function

      # @param pdf [Prawn::Document]
      # @param kind [String]
      # @param left [Float] points, within the bounding box
      # @param top [Float]
      # @param size [Float]
      def draw(pdf, kind, left, top, size)
        path = PATHS[kind] or return
        scale = size / FIELD
        pdf.line_width = PEN * scale
        pdf.join_style = :round
        pdf.cap_style = :round
        at = ->((x, y)) { [left + (x * scale), top - (y * scale)] }
        pdf.stroke do
          path.scan(STEP) do |step, numbers|
            step(pdf, step, numbers.scan(/-?[\d.]+/).map(&:to_f).each_slice(2).map(&at))
          end
        end
      end

      def step(pdf, step, points)
        case step
        when "M"
          pdf.move_to(points.first)
        when "L"
          points.each { |point| pdf.line_to(point) }
        when "C"
          points.each_slice(3) { |one, two, to| pdf.curve_to(to, bounds: [one, two]) }
        else
          pdf.close_path
        end
      end
    end
  end
end
