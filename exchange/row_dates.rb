# frozen_string_literal: true

module NutShelf
  module Exchange
    # The part of StockRows that reads days: one order of day and month for a whole column.
    module RowDates
      DATES = {
        "best_before" => :printed_on, "use_by" => :printed_on, "made_on" => :made_on, "opened_on" => :opened_on,
        "frozen_on" => :frozen_on, "bought_on" => :occurred_on
      }.freeze
      IN_FIGURES = %r{\A(\d{1,2})[./-](\d{1,2})[./-]\d{2,4}\z}

      private

      def dates
        read = DATES.filter_map { |field, name| (text = cell(field)) && (day = date(field, text)) && [name, day] }.to_h
        read[:printed_kind] = cell("use_by") ? "use_by" : "best_before" if read[:printed_on]
        read
      end

      def date(field, text)
        found = @date_cache.fetch([field, text]) { @date_cache[[field, text]] = dated(field, text) }
        return found.iso8601 if found.is_a?(Date)

        problem(field, found)
      end

      def dated(field, text)
        line = Core::LabelLine::Line.new(text)
        back = !%w[best_before use_by].include?(field)
        order, known = order_of(field)
        found =
          Core::LabelLine::DateForms.new(
            line,
            today: @settings[:today],
            day_order: order,
            back: back,
            order_known: known
          ).at(0, after_kind: true)
        if found.nil? || found.readings.empty? || found.length < line.tokens.size - 1
          return "“#{text}” is no date. Write it like 2028-05-31."
        end
        return "“#{text}” can be more than one day. Write it like 2028-05-31." if found.readings.size > 1

        found.readings.first.on
      end

      # A column is written one way round, and a 13 or more in it tells which; without one the household's order counts.
      # @return [Array(Symbol, Boolean)] :dmy or :mdy, and whether the column told
      def order_of(field)
        @orders[field] ||= begin
          pairs =
            @file.rows.filter_map do |_, cells|
              cells[@fields[field]].to_s.strip.match(IN_FIGURES)&.captures&.map(&:to_i)
            end
          days_first = pairs.any? { |one, _| one > 12 }
          months_first = pairs.any? { |_, two| two > 12 }
          days_first == months_first ? [@settings[:day_order], false] : [days_first ? :dmy : :mdy, true]
        end
      end
    end
  end
end
