# frozen_string_literal: true

require "prawn"
require_relative "label_grid"
require_relative "square_code"
require_relative "../core/value"

module NutShelf
  module Exchange
    # Labels as PDF: what it is, how much, since when, until when, where, how to cook it, and a square code that opens
    # the stack. Text shrinks to its cell and is cut with an ellipsis rather than run over.
    class LabelSheet
      # What stands on one label, as words. `dates` are lines such as "frozen 24 Nov 2026". Frozen.
      Label = Core::Value.of(:name, :amount, :until_words, :dates, :place, :directions, :bought_for, :code)

      FONTS = File.expand_path("../data/fonts", __dir__)
      MM = 72 / 25.4
      # White modules around a square code; the paper beside it does the rest.
      QUIET = 2

      # @param grid [LabelGrid]
      # @param skip [Integer] cells of the first sheet that are used up already
      def initialize(grid, skip: 0)
        @grid = grid
        @skip = skip % grid.per_page
        @codes = {}
      end

      # @param labels [Array<Label>]
      # @return [String] PDF bytes
      def render(labels)
        pdf = document
        labels.each_with_index { |label, index| draw(pdf, label, index + @skip) }
        pdf.render
      end

      # @return [Integer] sheets it takes
      def sheets(count) = ((count + @skip).to_f / @grid.per_page).ceil

      private

      def document
        pdf = Prawn::Document.new(page_size: @grid.page.map { |size| size * MM }, margin: 0, info: { Title: "Labels", Creator: "Nut Shelf" })
        pdf.font_families.update("Label" => { normal: File.join(FONTS, "label-regular.ttf"), bold: File.join(FONTS, "label-bold.ttf") })
        pdf.font("Label")
        pdf
      end

      def draw(pdf, label, index)
        page, cell = index.divmod(@grid.per_page)
        pdf.start_new_page while pdf.page_count <= page
        left, top = @grid.origin(cell)
        pdf.bounding_box([(left + @grid.padding) * MM, (@grid.page[1] - top - @grid.padding) * MM], width: (@grid.width - (2 * @grid.padding)) * MM, height: (@grid.height - (2 * @grid.padding)) * MM) { write(pdf, label) }
      end

      def write(pdf, label)
        box = pdf.bounds
        side = [box.height, box.width * 0.3].min
        square(pdf, label.code, box.right - side, box.top, side)
        room = box.width - side - 4
        name_height = box.height * 0.3
        pdf.text_box(clean(label.name), at: [0, box.top], width: room, height: name_height, size: @grid.height * 0.36, style: :bold, overflow: :shrink_to_fit, min_font_size: 6)
        pdf.text_box(clean(label.until_words), at: [0, box.top - name_height], width: room, height: box.height * 0.2, size: @grid.height * 0.3, style: :bold, overflow: :shrink_to_fit, min_font_size: 6, valign: :center)
        small(pdf, label, box, room, name_height + (box.height * 0.21))
      end

      def small(pdf, label, box, room, from)
        text = [[label.amount, *label.dates, label.place].reject do |part|
          part.to_s.empty?
        end.join(", "), label.directions, label.bought_for.to_s.empty? ? nil : "For: #{label.bought_for}"].reject { |part| part.to_s.empty? }.join("\n")
        pdf.text_box(clean(text), at: [0, box.top - from], width: room, height: box.height - from, size: @grid.height * 0.22, overflow: :shrink_to_fit, min_font_size: 5, leading: 0.5)
      end

      # What the lettering has no sign for would come out as an empty box.
      def clean(text) = text.to_s.tr("−", "-").gsub(/[^\u0020-\u024F\u2010-\u2027\n€]/, "?")

      def square(pdf, code, left, top, side)
        modules = (@codes[code] ||= SquareCode.modules(code))
        step = side / (modules.size + (2 * QUIET))
        x = pdf.bounds.absolute_left + left
        y = pdf.bounds.absolute_bottom + top
        runs = modules.each_with_index.flat_map { |row, line| dark_runs(row).map { |from, count| [x + ((from + QUIET) * step), y - ((line + 1 + QUIET) * step), count * step, step] } }
        # Straight to the page's content: thousands of single squares would make a long print slow.
        pdf.fill_color("000000")
        pdf.renderer.add_content("#{runs.map { |run| "#{run.map { |number| number.round(3) }.join(' ')} re" }.join("\n")}\nf")
      end

      # @return [Array<Array(Integer, Integer)>] where dark squares begin in a row, and how many follow each other
      def dark_runs(row)
        row.each_index.select { |index| row[index] }.slice_when { |one, other| other != one + 1 }.map { |run| [run.first, run.size] }
      end
    end
  end
end
