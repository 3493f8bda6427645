# frozen_string_literal: true

require "csv"
require_relative "figures"
require_relative "headings"
require_relative "../core/limits"
require_relative "errors"

module NutShelf
  module Exchange
    # A table somebody else's program wrote: finds out encoding, delimiter and decimal sign, which line holds the
    # headings and which column means what. Keeps the line number of every row.
    class CsvFile
      class Unreadable < Error
      end

      DELIMITERS = [",", ";", "\t", "|"].freeze
      SAMPLE = 50
      # A line of sixty full cells; longer ones are no list of food.
      LONGEST_LINE = 200_000

      # How far down a list a line of headings is looked for.
      HEAD = 15
      # A line of sums at the foot of a list.
      SUM =
        /\A\s*(?:grand\ |sub)?(?:total|totals|sum|summe|gesamt|gesamtsumme|zwischensumme|somme|total\ general|suma|
         importe\ total)\b/xi

      attr_reader :encoding, :delimiter, :headings, :rows, :heading_line, :first_lines

      # @param bytes [String] the file
      # @param heading [Integer, nil] the line that holds the headings, 0 for none; nil: found out
      # @param skip [Array<Integer>] lines that are left out
      # @raise [Unreadable] when it is no table
      def initialize(bytes, heading: nil, skip: [])
        @heading_line = heading
        @skip = skip
        @text, @encoding = decode(bytes)
        raise Unreadable, "The file is empty." if @text.strip.empty?
        raise Unreadable, "The file holds NUL bytes: it is no text." if @text.include?("\u0000")

        refuse_long_lines

        @delimiter = guess_delimiter
        parse
      end

      # @return [Array<Hash>] {index:, heading:, field:, unit:, cells:} with a guessed field, each field once; `cells`:
      #   how
      #   many hold something
      def columns
        taken = []
        headings
          .each_with_index
          .map do |heading, index|
            field = Headings.field(heading.to_s)
            field = nil if taken.include?(field)
            taken << field if field
            {
              index: index,
              heading: heading.to_s,
              field: field,
              unit: Headings.unit(heading.to_s),
              cells: rows.count { |_, cells| !cells[index].to_s.empty? }
            }
          end
          .then { |list| taken.include?("food") ? list : with_food(list) }
      end

      # @return [Array<Integer>] lines that look like sums of others
      def sums = rows.select { |_, cells| cells.compact.first.to_s.match?(SUM) }.map(&:first)

      # @return [String] "," or "."
      def decimal = figures.sign || "."

      # @return [Figures] how numbers are written in it
      def figures
        @figures ||=
          Figures.new(
            rows.first(2000).flat_map { |_, row| row.compact }.grep(%r{\A\s*\D{0,3}\d[\d.,]*\s*[^\d.,/-]{0,12}\z})
          )
      end

      private

      def decode(bytes)
        raw = bytes.dup.force_encoding("BINARY")
        return raw.byteslice(2..).force_encoding("UTF-16LE").encode("UTF-8"), "UTF-16" if raw.start_with?("\xFF\xFE".b)
        return raw.byteslice(2..).force_encoding("UTF-16BE").encode("UTF-8"), "UTF-16" if raw.start_with?("\xFE\xFF".b)

        raw = raw.byteslice(3..) if raw.start_with?("\xEF\xBB\xBF".b)
        text = raw.dup.force_encoding("UTF-8")
        return text, "UTF-8" if text.valid_encoding?

        [raw.force_encoding("Windows-1252").encode("UTF-8", undef: :replace), "Windows-1252"]
      rescue EncodingError
        raise Unreadable, "The file's letters cannot be read. Save it as UTF-8 and try again."
      end

      def refuse_long_lines
        @text.each_line.with_index(1) do |line, number|
          if line.bytesize > LONGEST_LINE
            raise Unreadable, "Line #{number} is longer than a line of any list (#{LONGEST_LINE} bytes)."
          end
        end
      end

      def refuse_wide(row, line)
        if row.size > Core::Limits::COLUMNS
          raise Unreadable, "Line #{line} has #{row.size} cells; #{Core::Limits::COLUMNS} columns are read."
        end
        return unless row.any? { |cell| cell.to_s.length > Core::Limits::CELL_LETTERS }

        raise Unreadable, "A cell of line #{line} is longer than #{Core::Limits::CELL_LETTERS} letters."
      end

      # A row may run over several lines of the file; people look for it by the line it begins on.
      def breaks(csv) = [csv.line.to_s.scan(/\r\n|\r|\n/).size, 1].max

      # The delimiter that cuts the first rows into the same number of columns, the most of them.
      def guess_delimiter
        first = @text.each_line.first(SAMPLE).join
        DELIMITERS.max_by { |sign| evenness(first, sign) }
      end

      def evenness(text, sign)
        widths = CSV.new(text, col_sep: sign, liberal_parsing: true).first(SAMPLE - 1).map(&:size)
        common, times = widths.tally.max_by { |width, count| [count, width] }
        common && common > 1 ? [times.to_f / widths.size, common] : [0.0, 0]
      rescue CSV::MalformedCSVError
        [0.0, 0]
      end

      # Without a heading that says so, the column of words is the food.
      def with_food(list)
        wordy =
          list.select { |column| column[:field].nil? }.max_by do |column|
            rows.first(SAMPLE).count { |_, cells| cells[column[:index]].to_s.match?(/\A\D*\p{L}{3}/) }
          end
        if wordy && wordy[:cells].positive? && @heading_line.zero?
          list.map { |column| column == wordy ? { **column, field: "food" } : column }
        else
          list
        end
      end

      def parse
        all = lines
        @first_lines = all.first(HEAD).map { |line, cells| { line: line, cells: cells.map(&:to_s) } }
        @heading_line ||= guess_heading(all)
        head = all.find { |line, _| line == @heading_line }&.last
        width = all.map { |_, cells| cells.size }.max.to_i
        @headings = head ? head.map(&:to_s) : Array.new(width) { |index| "column #{index + 1}" }
        @rows = all.select { |line, _| line > @heading_line && !@skip.include?(line) }
      end

      # The line among the first that names most fields; none, where the first line is stock already.
      def guess_heading(all)
        line, fields =
          all
            .first(HEAD)
            .map { |number, cells| [number, cells.compact.filter_map { |cell| Headings.field(cell) }.uniq.size] }
            .max_by { |number, count| [count, -number] }
        return line if fields.to_i >= 2 || (fields.to_i == 1 && all.first.last.none? { |cell| cell.to_s.match?(/\d/) })

        all.first&.last.to_a.any? { |cell| cell.to_s.match?(/\A\W*\d/) } ? 0 : (all.first&.first || 0)
      end

      # @return [Array<Array(Integer, Array<String, nil>)>] every line that holds something, with its number
      def lines
        csv = CSV.new(@text, col_sep: delimiter)
        line = 1
        all = []
        while (row = csv.shift)
          refuse_wide(row, line)
          all << [line, row.map { |cell| cell&.strip }] unless row.compact.all? { |cell| cell.strip.empty? }
          line += breaks(csv)
          if all.size > Core::Limits::ROWS + 1
            raise Unreadable, "More than #{Core::Limits::ROWS} lines: bring them in in parts."
          end
        end
        all
      rescue CSV::MalformedCSVError => e
        raise Unreadable,
          "Line #{e.line_number} is broken: #{e.message.sub(%r{ in line.*}, "").downcase}. Mend the quotes there."
      end
    end
  end
end
