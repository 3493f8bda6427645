# frozen_string_literal: true

require "prawn"
require_relative "drawn_mark"
require_relative "label_grid"
require_relative "lettering"
require_relative "square_code"
require_relative "../core/value"

module NutShelf
  module Exchange
    # Labels as PDF: what it is, how much, since when, until when, where, how to cook it, and a square code that opens
    # the stack. Text shrinks to its cell and is cut with an ellipsis rather than run over; every script has its
    # letters.
    class LabelSheet
      # What stands on one label, as words. `dates` are lines such as "frozen 24 Nov 2026". Frozen.
      Label = Core::Value.of(:name, :amount, :until_words, :dates, :place, :directions, :bought_for, :code, mark: "")

      MM = 72 / 25.4
      # White modules around a square code, as its standard asks (ISO/IEC 18004).
      QUIET = 4
      ELLIPSIS = "…"

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
        pdf =
          document(
            Lettering.fonts_for(
              labels
                .map do |label|
                  Lettering.laid_out(
                    [label.name, label.amount, *label.dates, label.place, label.directions, label.bought_for].join(" ")
                  )
                end
                .join
            )
          )
        labels.each_with_index { |label, index| draw(pdf, label, index + @skip) }
        pdf.render
      end

      # @return [Integer] sheets it takes
      def sheets(count) = ((count + @skip).to_f / @grid.per_page).ceil

      private

      # @param further [Array<String>] fonts for letters the usual one lacks
      def document(further)
        pdf =
          Prawn::Document.new(
            page_size: @grid.page.map { |size| size * MM },
            margin: 0,
            info: {
              Title: "Labels",
              Creator: "Nut Shelf"
            }
          )
        pdf.font_families.update(
          "Label" => {
            normal: Lettering.path("label-regular"),
            bold: Lettering.path("label-bold")
          }
        )
        further.each do |name|
          pdf.font_families.update(name => { normal: Lettering.path(name), bold: Lettering.path(name) })
        end
        pdf.font("Label")
        pdf.fallback_fonts(further)
        pdf
      end

      def draw(pdf, label, index)
        page, cell = index.divmod(@grid.per_page)
        pdf.start_new_page while pdf.page_count <= page
        left, top = @grid.origin(cell)
        pdf.bounding_box(
          [(left + @grid.padding) * MM, (@grid.page[1] - top - @grid.padding) * MM],
          width: (@grid.width - (2 * @grid.padding)) * MM,
          height: (@grid.height - (2 * @grid.padding)) * MM
        ) { write(pdf, label) }
      end

      def write(pdf, label)
        box = pdf.bounds
        side = [box.height, box.width * 0.3].min
        square(pdf, label.code, box.right - side, box.top, side)
        work = box.width - side - 4
        name_height = box.height * 0.3
        mark = label.mark.empty? ? 0 : [name_height, work * 0.14].min
        DrawnMark.draw(pdf, label.mark, 0, box.top, mark)
        indent = mark.zero? ? 0 : mark + 3
        fit(
          pdf,
          label.name,
          at: [indent, box.top],
          width: work - indent,
          height: name_height,
          size: @grid.height * 0.36,
          style: :bold,
          min_font_size: 6
        )
        fit(
          pdf,
          label.until_words,
          at: [0, box.top - name_height],
          width: work,
          height: box.height * 0.2,
          size: @grid.height * 0.3,
          style: :bold,
          min_font_size: 6,
          valign: :center
        )
        small(pdf, label, box, work, name_height + (box.height * 0.21))
      end

      def small(pdf, label, box, work, from)
        text =
          [
            [label.amount, *label.dates, label.place].reject { |part| part.to_s.empty? }.join(", "),
            label.directions,
            label.bought_for.to_s.empty? ? nil : "For: #{label.bought_for}"
          ].reject { |part| part.to_s.empty? }.join("\n")
        fit(
          pdf,
          text,
          at: [0, box.top - from],
          width: work,
          height: box.height - from,
          size: @grid.height * 0.22,
          min_font_size: 5,
          leading: 0.5
        )
      end

      # Smaller down to a size that can be read, then cut with an ellipsis: what is left out can be told from what is
      # not.
      def fit(pdf, text, **options)
        text = Lettering.laid_out(text)
        return if text.empty?

        shrinking = { **options, overflow: :shrink_to_fit, document: pdf }
        text = cut(text) { |part| fits?(part, shrinking) } unless fits?(text, shrinking)
        Prawn::Text::Box.new(text, shrinking).render
      end

      # The longest beginning that fits with the ellipsis behind it.
      def cut(text)
        longest = (0..text.length).bsearch { |length| !yield("#{text[0, length].rstrip}#{ELLIPSIS}") } || text.length
        "#{text[0, [longest - 1, 0].max].rstrip}#{ELLIPSIS}"
      end

      def fits?(text, options)
        Prawn::Text::Box
          .new(text, options.dup)
          .render(dry_run: true)
          .then { |left| [*left].map { |part| part.is_a?(Hash) ? part[:text].to_s : part.to_s }.join.strip.empty? }
      end

      def square(pdf, code, left, top, side)
        modules = (@codes[code] ||= SquareCode.modules(code))
        step = side / (modules.size + (2 * QUIET))
        x = pdf.bounds.absolute_left + left
        y = pdf.bounds.absolute_bottom + top
        runs =
          modules.each_with_index.flat_map do |row, line|
            dark_runs(row).map do |from, count|
              [x + ((from + QUIET) * step), y - ((line + 1 + QUIET) * step), count * step, step]
            end
          end
        # Straight to the page's content: thousands of single squares would make a long print slow.
        pdf.fill_color("000000")
        pdf.renderer.add_content(
          "#{runs.map { |run| "#{run.map { |number| number.round(3) }.join(" ")} re" }.join("\n")}\nf"
        )
      end

      # @return [Array<Array(Integer, Integer)>] where dark squares begin in a row, and how many follow each other
      def dark_runs(row)
        row
          .each_index
          .select { |index| row[index] }
          .slice_when { |one, other| other != one + 1 }
          .map { |run| [run.first, run.size] }
      end
    end
  end
end
