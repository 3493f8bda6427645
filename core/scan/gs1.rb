# frozen_string_literal: true

require "date"
require_relative "check_digit"
require_relative "../errors"
require_relative "../value"

module NutShelf
  module Core
    # Reads a GS1 element string: what a box's bar code or data matrix says about trade item, dates, lot and weight.
    # Source: GS1 General Specifications, application identifiers and the rule of the century (years within 50).
    class Gs1
      # What was read: `gtin` (14 digits), `best_before`, `use_by`, `packed_on`, `made_on` (Date), `lot` (text),
      # `net_g` (Rational grams), `count` (Integer); each nil when the string does not say. Frozen.
      Reading = Value.of(:gtin, :best_before, :use_by, :packed_on, :made_on, :lot, :net_g, :count)

      # The string breaks the rules; says where and how.
      class Unreadable < Error; end

      SEPARATOR = "\u001D"
      PREFIX = /\A\](?:C1|e0|d2|Q3|J1)/
      FIXED = { "00" => 18, "01" => 14, "02" => 14, "11" => 6, "12" => 6, "13" => 6, "15" => 6, "16" => 6, "17" => 6, "20" => 2 }.freeze
      MEASURE = /\A(3[1-6]\d)(\d)/
      OPEN = { "10" => 20, "21" => 20, "22" => 20, "30" => 8, "37" => 8, "240" => 30, "241" => 30, "400" => 30, "710" => 20 }.freeze
      DATES = { "11" => :made_on, "13" => :packed_on, "15" => :best_before, "17" => :use_by }.freeze

      # @param text [String] as a scanner sends it (with or without symbology prefix), or as printed with brackets
      # @param today [Date] settles the century
      # @return [Boolean] whether this looks like an element string at all
      def self.like?(text) = text.match?(PREFIX) || text.include?(SEPARATOR) || text.match?(/\A\(\d{2,4}\)/) || text.match?(/\A(?:01\d{14}(?:1[01357]|310|3[07])|02\d{14}37)/)

      def self.read(text, today:) = new(today).read(text)

      def initialize(today)
        @today = today
        @facts = {}
      end

      # @return [Reading]
      # @raise [Unreadable]
      def read(text)
        text = text.sub(PREFIX, "")
        text.start_with?("(") ? bracketed(text) : plain(text)
        raise Unreadable.new("There is nothing in it about a food.", remedy: "Scan the other code on the pack, or type a line.") if @facts.empty?

        Reading.new(**@facts)
      end

      private

      def bracketed(text)
        parts = text.scan(/\((\d{2,4})\)([^(]*)/)
        raise broken(text) if parts.empty? || parts.map { |id, value| "(#{id})#{value}" }.join != text

        parts.each { |id, value| take(id, value) }
      end

      def plain(text)
        until text.empty?
          id, value, text = element(text.delete_prefix(SEPARATOR))
          take(id, value)
        end
      end

      # One identifier, its value, and what follows.
      def element(text)
        return [text[0, 4], text[4, 6].to_s, text[10..].to_s] if text.match?(MEASURE)

        id = text[0, 2]
        return [id, text[2, FIXED[id]].to_s, text[(2 + FIXED[id])..].to_s] if FIXED.key?(id)

        id = OPEN.keys.find { |known| text.start_with?(known) } or raise broken(text)
        value, rest = text[id.length..].split(SEPARATOR, 2)
        [id, value.to_s[0, OPEN[id]], rest.to_s]
      end

      def take(id, value)
        case id
        when "01", "02" then @facts[:gtin] = item(value)
        when *DATES.keys then @facts[DATES.fetch(id)] = date(id, value)
        when "10" then @facts[:lot] = value
        when "30", "37" then @facts[:count] = Integer(value, 10)
        when /\A310(\d)\z/ then @facts[:net_g] = Rational(Integer(value, 10) * 1000, 10**Regexp.last_match(1).to_i)
        end
      rescue ArgumentError
        raise Unreadable.new("(#{id}) is followed by #{value.inspect}, which is no number.", remedy: "Scan it again, or type a line.")
      end

      def item(value)
        return value if value.length == 14 && CheckDigit.valid?(value)

        raise Unreadable.new("The item number #{value} does not add up: its check digit is wrong.", remedy: "Scan it again.")
      end

      # Day 00 stands for the last day of the month.
      def date(id, value)
        year, month, day = value.match(/\A(\d\d)(\d\d)(\d\d)\z/)&.captures&.map(&:to_i)
        raise Unreadable.new("(#{id}) needs a day as six digits, not #{value.inspect}.", remedy: "Scan it again, or type the date.") unless year

        Date.new(full(year), month, day.zero? ? -1 : day)
      rescue Date::Error
        raise Unreadable.new("(#{id}) says #{value}, and there is no such day.", remedy: "Type the date that is printed on the pack.")
      end

      def full(year)
        century = @today.year / 100 * 100
        apart = year - (@today.year % 100)
        return century - 100 + year if apart >= 51
        return century + 100 + year if apart <= -50

        century + year
      end

      def broken(text) = Unreadable.new("#{text[0, 12].inspect} starts with no application identifier known here.", remedy: "Scan the other code on the pack, or type a line.")
    end
  end
end
