# frozen_string_literal: true

require "prawn"
require_relative "../lettering"
require_relative "paper"

module NutShelf
  module Exchange
    module Papers
      # A paper as PDF on A4, in the letters of the labels. A row that does not fit goes to the next page whole, with
      # the headings above it again.
      class Pdf
        MARGIN = 48
        GAP = 10
        PAD = 3
        SIZES = { title: 20, heading: 13, text: 10, small: 9 }.freeze
        GREY = "4A5966"
        LINE = "CFD8DC"

        # @param paper [Paper]
        def initialize(paper)
          @paper = paper
        end

        # @return [String] bytes
        def render
          @pdf = document
          text(@paper.title, :title, style: :bold)
          text(@paper.subtitle, :text, color: GREY) unless @paper.subtitle.to_s.empty?
          @paper.parts.each { |part| draw(part) }
          @pdf.number_pages("<page>/<total>", at: [@pdf.bounds.right - 40, -20], size: SIZES[:small], align: :right)
          @pdf.render
        end

        private

        def document
          pdf = Prawn::Document.new(page_size: "A4", margin: MARGIN,
            info: { Title: @paper.title, Creator: "Nut Shelf" })
          normal, bold = %w[label-regular label-bold].map { |name| Lettering.path(name) }
          pdf.font_families.update("Paper" => { normal: normal, bold: bold })
          further = Lettering.fonts_for(Lettering.laid_out(all_text))
          further.each do |name|
            pdf.font_families.update(name => { normal: Lettering.path(name), bold: Lettering.path(name) })
          end
          pdf.font("Paper")
          pdf.fallback_fonts(further)
          pdf
        end

        def all_text
          [@paper.title, @paper.subtitle, *@paper.parts.map { |part| part.told.values.flatten.join(" ") }].join(" ")
        end

        def text(words, size, **how)
          @pdf.text(laid(words), size: SIZES.fetch(size), leading: 2, **how)
        end

        def laid(words) = words.to_s.lines.map { |line| Lettering.laid_out(line.chomp) }.join("\n")

        def draw(part)
          @pdf.move_down(GAP)
          text(part.heading, :heading, style: :bold) unless part.heading.to_s.empty?
          part.is_a?(Table) ? table(part) : part.items.each { |item| text(item, :text) }
        end

        def table(part)
          widths = widths(part)
          head = part.columns.any? { |name| !name.empty? }
          row(part.columns, widths, :small, color: GREY) if head
          part.rows.each do |cells|
            if tall(cells, widths) > @pdf.cursor
              @pdf.start_new_page
              row(part.columns, widths, :small, color: GREY) if head
            end
            row(cells, widths, :text)
          end
        end

        def widths(part)
          whole = part.shares.sum.to_f
          part.shares.map { |share| @pdf.bounds.width * share / whole }
        end

        def tall(cells, widths)
          (cells.zip(widths).map { |cell, width| height(cell, width) }.max || 0) + (2 * PAD)
        end

        def height(cell, width)
          @pdf.height_of(laid(cell).empty? ? " " : laid(cell), size: SIZES[:text], width: width - GAP, leading: 2)
        end

        def row(cells, widths, size, color: "000000")
          top = @pdf.cursor
          left = 0
          cells.zip(widths).each_with_index do |(cell, width), at|
            @pdf.fill_color(color)
            @pdf.text_box(
              laid(cell), at: [left, top - PAD], width: width - GAP, size: SIZES.fetch(size), leading: 2,
              style: at.zero? && size == :text ? :bold : :normal
            )
            left += width
          end
          @pdf.fill_color("000000")
          @pdf.move_down(tall(cells, widths))
          @pdf.stroke_color(LINE)
          @pdf.stroke_horizontal_rule
        end
      end
    end
  end
end
