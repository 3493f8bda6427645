# frozen_string_literal: true

require_relative "row_places"
require_relative "row_dates"
require_relative "csv_file"
require_relative "stock_words"
require_relative "../core/label_line/reader"
require_relative "../core/reference/keeping_row"
require_relative "../core/value"

module NutShelf
  module Exchange
    # Reads the rows of a stock list into what PutAway takes, with every problem by line, column and reason.
    class StockRows
      include RowPlaces

      include RowDates

      # A row: its line number, the words for the food, what was read (nil when it has problems). Frozen.
      Row = Core::Value.of(:line, :food_text, :place_text, :input, :problems)
      Problem = Core::Value.of(:line, :column, :reason)

      # Grams or millilitres of one pack: more is no pack of a household, and less is none that is weighed.
      PLAUSIBLE = (5..30_000)
      DEFUSED = /\A'(?=[=+\-@\t\r])/

      # @param file [CsvFile]
      # @param columns [Hash{Integer=>String}] field by column number
      # @param units [Hash{Integer=>String}] units that stand in headings, by column number
      # @param lexicon [Core::LabelLine::Lexicon] with the household's foods and places
      # @param settings [Hash] :day_order, :currency, :measures, :today, :food_ids (key to id), :food_by_name
      #   (down-cased name to id), :foods (chosen: text to id), :foreign_words (word to ids),
      #   :place_ids (name to id), :place_id (where a line without a place goes) or :default_places (kind to id),
      #   :belongs (food id to kind), :home (food id to place id or nil)
      # @param tick [#call] called before each row, so that whoever reads may stop
      def initialize(file, columns:, lexicon:, settings:, units: {}, tick: -> {})
        @tick = tick
        @file = file
        @units = units
        @fields = columns.invert.transform_values(&:to_i)
        @lexicon = lexicon
        @settings = settings
        @food_cache = {}
        @date_cache = {}
        @orders = {}
      end

      # @return [Array<Row>]
      def rows = @rows ||= @file.rows.map { |line, cells| read(line, cells) }

      private

      def read(line, cells)
        @tick.call
        @line = line
        @cells = cells
        @problems = []
        input = { food_id: food, place_id: place, **amount, **dates, **price, **more }
        Row.new(
          line: line,
          food_text: cell("food").to_s,
          place_text: cell("place").to_s,
          input: @problems.empty? ? input.compact : nil,
          problems: @problems
        )
      end

      def cell(field)
        index = @fields[field]
        text = index && @cells[index]
        text && !text.strip.empty? ? text.sub(DEFUSED, "").strip : nil
      end

      def problem(field, reason)
        @problems << Problem.new(line: @line, column: @file.headings[@fields[field] || 0].to_s, reason: reason)
        nil
      end

      def food
        text = cell("food") or return problem("food", "There is no food.")
        if text.match?(CsvFile::SUM) && @file.sums.include?(@line)
          return problem("food", "“#{text}” looks like a sum, not a food. Leave the line out.")
        end

        id = @food_cache.fetch(text) { @food_cache[text] = food_id(text) }
        id || problem("food", "“#{text}” is no food known here. Choose one for it.")
      end

      def food_id(text)
        @settings[:foods][text] || @settings[:food_by_name][text.downcase] || foreign(text) || by_words(text)
      end

      # A word of another language, where it means one food only.
      def foreign(text)
        plain = text.downcase.strip
        ids = @settings[:foreign_words][plain] || @settings[:foreign_words][plain.sub(/,.*\z/, "")] || []
        ids.first if ids.size == 1
      end

      def by_words(text)
        return if text.split.size > Core::Limits::NAME_WORDS

        draft = line_reader.read(text, today: @settings[:today])
        sure = draft.food && draft.questions.none? { |question| question.field == "food" } && draft.unread.empty?
        sure ? @settings[:food_ids][draft.food] : nil
      end

      def line_reader
        @line_reader ||=
          Core::LabelLine::Reader.new(
            @lexicon,
            day_order: @settings[:day_order],
            currency: @settings[:currency],
            measures: measures
          )
      end

      def measures = @settings.fetch(:measures, {})

      def amount
        count = number("count")
        size = cell("amount")
        unit = cell("unit") || @units[@fields["amount"]]
        return count_only(count, unit || @units[@fields["count"]]) unless size

        text = size.match?(/\p{L}/) ? size : "#{size} #{unit}"
        sized(count, text)
      end

      # A quantity without a size: pieces, or so many of a noun; "400" with unit "g" is a size.
      def count_only(count, unit)
        raw = cell("count")
        return sized(nil, raw) if raw&.match?(/\d\s*\p{L}/)
        return sized(nil, "#{raw} #{unit}") if raw && unit && measure?(unit)
        return {} if @problems.any? { |problem| problem.reason.include?("number") }

        word = unit && StockWords.amount(unit).downcase
        noun = word && Core::LabelLine::Units.noun(word)
        noun ? { count: text_of(count || 1r), noun: noun } : pieces(count || 1r, unit)
      end

      def measure?(unit)
        known = Core::LabelLine::Units.unit(StockWords.amount(unit).downcase, measures)
        known && known != "piece"
      end

      def pieces(count, unit)
        if unit.nil? || Core::LabelLine::Units.unit(StockWords.amount(unit).downcase, measures) == "piece"
          return { count: text_of(count), amount: "1", unit: "piece" }
        end

        problem("unit", "“#{unit}” is no unit known here. Use g, kg, ml, l, pieces, or a word like tin or jar.")
        {}
      end

      def sized(count, text)
        found = @file.figures.readings(text).map { |plain| measured(count, plain) }
        found = plausible(found) if found.size > 1
        return found.first if found.size == 1 && found.first

        field = cell("amount") ? "amount" : "count"
        problem(
          field,
          if found.size > 1
            "“#{text.strip}” can be read in two ways. Write it without a sign for thousands."
          else
            "“#{text.strip}” is no amount. Write it like 400 g, 1.5 l or 3 jars."
          end
        )
        {}
      end

      def plausible(found)
        likely = found.select { |one| one && one[:amount] && PLAUSIBLE.cover?(one[:amount].to_r) }
        likely.size == 1 ? likely : found
      end

      # @return [Hash, nil] what an amount with a decimal point says
      def measured(count, text)
        bare = Core::LabelLine::Numbers.value(text.strip)
        return pieces(bare * (count || 1), nil) if bare&.positive?

        line = Core::LabelLine::Line.new(StockWords.amount(text))
        Core::LabelLine::AmountField.new(line, settings: measures).read
        found = line.found
        total = found[:count] * (count || 1)
        return { count: text_of(total), amount: text_of(found[:size].amount), unit: found[:size].unit } if found[:size]
        return { count: text_of(total), noun: found[:noun] } if found[:noun] && found[:noun] != "piece"

        { count: text_of(total), amount: "1", unit: "piece" } if line.free_indexes.empty?
      end

      def number(field)
        text = cell(field) or return
        plain = decimal_point(text[%r{\A[\d.,/]+}].to_s, field) or return
        value = Core::LabelLine::Numbers.value(plain)
        return value if value&.positive? && text.match?(%r{\A[\d.,/]+\s*\p{L}*\z})
        return problem(field, "“#{text}” is no number above zero.") unless text.match?(/\d\s*(x|\p{L})/)

        nil
      end

      # @return [String] with a decimal point; nil, and a problem, where it can be read in two ways
      def decimal_point(text, field)
        readings = @file.figures.readings(text)
        if readings.size == 1
          readings.first
        else
          problem(
            field,
            "“#{text.strip}” can be #{readings.map(&:strip).join(" or ")}. Write it without a sign for thousands."
          )
        end
      end

      def price
        field = cell("price_each") ? "price_each" : "price"
        text = cell(field) or return {}
        clean = decimal_point(text.gsub(/[\s€$£]|[A-Za-z]{2,3}/, ""), field) or return {}
        return problem(field, "“#{text}” is no price.") || {} unless clean.match?(/\A\d{1,9}(\.\d{1,4})?\z/)
        return problem(field, "“#{text}” is another currency than #{@settings[:currency]}.") || {} if foreign?(text)

        { price_minor: (clean.to_r * 100 * (field == "price_each" ? number("count") || 1 : 1)).round }
      end

      def foreign?(text)
        sign = text[/[€$£]|[A-Za-z]{3}/]
        sign && Core::LabelLine::PriceField::SIGNS.fetch(sign.downcase, sign.upcase) != @settings[:currency]
      end

      def more
        state = cell("state")
        known = state && StockWords.state(state)
        if state && !known
          problem(
            "state",
            "“#{state}” is no state known here. Use opened, frozen, leftover, home-made, home-bottled, home-dried, " \
            "unripe or thawed."
          )
        end
        {
          label: cell("label"),
          state: known,
          lot_text: cell("lot_text"),
          directions: cell("directions"),
          bought_for: cell("bought_for"),
          method: kept_in,
          set_apart: cell("set_apart")
        }
      end

      def kept_in
        method = cell("method") or return
        if Core::KeepingRow::STORAGE.key?(method)
          method
        else
          problem(
            "method",
            "“#{method}” is no way of storing known here. Use #{Core::KeepingRow::STORAGE.keys.join(", ")}."
          )
        end
      end

      def text_of(number) = Core::Decimal.print(number)
    end
  end
end
