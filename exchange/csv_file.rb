# frozen_string_literal: true

require "csv"
require_relative "figures"
require_relative "headings"
require_relative "../core/limits"

module NutShelf
  module Exchange
    # A table somebody else's program wrote: finds out encoding, delimiter and decimal sign, and which
    # column means what. Keeps the line number of every row.
    class CsvFile
      class Unreadable < StandardError; end

      DELIMITERS = [",", ";", "\t", "|"].freeze
      SAMPLE = 50
      # A line of sixty full cells; longer ones are no list of food.
      LONGEST_LINE = 200_000

      attr_reader :encoding, :delimiter, :headings, :rows

      # @param bytes [String] the file
      # @raise [Unreadable] when it is no table
      def initialize(bytes)
        @text, @encoding = decode(bytes)
        raise Unreadable, "The file is empty." if @text.strip.empty?
        raise Unreadable, "The file holds NUL bytes: it is no text." if @text.include?("\u0000")

        refuse_long_lines

        @delimiter = guess_delimiter
        parse
      end

      # @return [Array<Hash>] {index:, heading:, field:} with a guessed field, each field once
      def columns
        taken = []
        headings.each_with_index.map do |heading, index|
          field = Headings.field(heading.to_s)
          field = nil if taken.include?(field)
          taken << field if field
          { index: index, heading: heading.to_s, field: field }
        end
      end

      # @return [String] "," or "."
      def decimal = figures.sign || "."

      # @return [Figures] how numbers are written in it
      def figures = @figures ||= Figures.new(rows.first(2000).flat_map { |_, row| row.compact }.grep(%r{\A\s*\D{0,3}\d[\d.,]*\s*[^\d.,/-]{0,12}\z}))

      private

      def decode(bytes)
        raw = bytes.dup.force_encoding("BINARY")
        return [raw.byteslice(2..).force_encoding("UTF-16LE").encode("UTF-8"), "UTF-16"] if raw.start_with?("\xFF\xFE".b)
        return [raw.byteslice(2..).force_encoding("UTF-16BE").encode("UTF-8"), "UTF-16"] if raw.start_with?("\xFE\xFF".b)

        raw = raw.byteslice(3..) if raw.start_with?("\xEF\xBB\xBF".b)
        text = raw.dup.force_encoding("UTF-8")
        return [text, "UTF-8"] if text.valid_encoding?

        [raw.force_encoding("Windows-1252").encode("UTF-8", undef: :replace), "Windows-1252"]
      rescue EncodingError
        raise Unreadable, "The file's letters cannot be read. Save it as UTF-8 and try again."
      end

      def refuse_long_lines
        @text.each_line.with_index(1) do |line, number|
          raise Unreadable, "Line #{number} is longer than a line of any list (#{LONGEST_LINE} bytes)." if line.bytesize > LONGEST_LINE
        end
      end

      def refuse_wide(row, line)
        raise Unreadable, "Line #{line} has #{row.size} cells; #{Core::Limits::COLUMNS} columns are read." if row.size > Core::Limits::COLUMNS
        raise Unreadable, "A cell of line #{line} is longer than #{Core::Limits::CELL_LETTERS} letters." if row.any? { |cell| cell.to_s.length > Core::Limits::CELL_LETTERS }
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

      def parse
        csv = CSV.new(@text, col_sep: delimiter)
        first = csv.shift || []
        refuse_wide(first, 1)
        @headings = first.map { |heading| heading.to_s.strip }
        line = 1 + breaks(csv)
        @rows = []
        while (row = csv.shift)
          refuse_wide(row, line)
          @rows << [line, row.map { |cell| cell&.strip }] unless row.compact.all? { |cell| cell.strip.empty? }
          line += breaks(csv)
          raise Unreadable, "More than #{Core::Limits::ROWS} lines: bring them in in parts." if @rows.size > Core::Limits::ROWS
        end
      rescue CSV::MalformedCSVError => e
        raise Unreadable, "Line #{e.line_number} is broken: #{e.message.sub(/ in line.*/, '').downcase}. Mend the quotes there."
      end
    end
  end
end
