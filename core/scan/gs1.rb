# frozen_string_literal: true

require "date"
require_relative "check_digit"
require_relative "element_string"
require_relative "../errors"
require_relative "../value"

module NutShelf
  module Core
    # Reads a GS1 element string or Digital Link: what a box's bar code or data matrix says about trade item, dates,
    # lot, weight. One element that is damaged or unknown is named and leaves the others as they are. Source: GS1
    # General Specifications, application identifiers and the rule of the century (years within 50); GS1 Digital Link
    # standard, URI syntax.
    class Gs1
      # What was read: `gtin` (14 digits), `best_before`, `use_by`, `sell_by`, `packed_on`, `made_on` (Date), `lot`
      # (text), `net_g` (Rational grams), `net_ml`, `count` (Integer); each nil when the string does not say. `notes`:
      # what could not be read, in plain words. Frozen.
      Reading =
        Value.of(
          :gtin,
          :best_before,
          :use_by,
          :sell_by,
          :packed_on,
          :made_on,
          :lot,
          :net_g,
          :net_ml,
          :count,
          notes: [].freeze
        )

      # The string breaks the rules altogether; says where and how.
      class Unreadable < Error
      end

      DATES = { "11" => :made_on, "13" => :packed_on, "15" => :best_before, "16" => :sell_by, "17" => :use_by }.freeze
      NAMES = {
        "11" => "made on", "13" => "packed on", "15" => "best before", "16" => "sell by", "17" => "use by",
        "7003" => "use by"
      }.freeze
      # Trade measures: the fact, and how much of its base unit one is. Pound and ounce avoirdupois, US quart and
      # gallon.
      MEASURES = {
        "310" => [:net_g, 1000r],
        "320" => [:net_g, Rational("453.59237")],
        "357" => [:net_g, Rational("28.349523125")],
        "315" => [:net_ml, 1000r],
        "360" => [:net_ml, Rational("946.352946")],
        "361" => [:net_ml, Rational("3785.411784")]
      }.freeze

      # @param text [String] as a scanner sends it (with or without symbology prefix), as printed with brackets, or a
      #   link
      # @param today [Date] settles the century
      # @return [Boolean] whether this looks like one of these at all
      def self.like?(text) = ElementString.like?(text)

      # @param text [String] as scanned
      # @param today [Date] settles the century
      # @return [Gs1::Reading]
      # @raise [Unreadable]
      def self.read(text, today:) = new(today).read(text)

      def initialize(today)
        @today = today
        @facts = {}
        @notes = []
      end

      # @return [Reading]
      # @raise [Unreadable] when nothing in it is about a food
      def read(text)
        elements, rest = ElementString.cut(text)
        elements.each { |id, value| take(id, value) }
        @notes << "The rest, #{rest[0, 20].inspect}, is not known here." unless rest.empty?
        return Reading.new(**@facts, notes: @notes.uniq.freeze) if @facts.any?

        raise Unreadable.new(
          @notes.first || "There is nothing in it about a food.",
          remedy: "Scan the other code on the pack, or type a line."
        )
      end

      private

      def take(id, value)
        case id
        when "00"
          @notes << "That is the number of a parcel, not of a food."
        when "01", "02"
          item(value)
        when *DATES.keys
          date(id, value)
        when "7003"
          date(id, value[0, 6], DATES.fetch("17"))
        when "10"
          @facts[:lot] = value
        when "30", "37"
          count(id, value)
        when /\A3\d{3}\z/
          measure(id, value)
        end
      end

      def item(value)
        return @facts[:gtin] = value.rjust(14, "0") if CheckDigit.valid?(value)

        @notes << "The item number #{value} does not add up: its check digit is wrong."
      end

      def count(id, value)
        return @facts[:count] = value.to_i if value.match?(/\A\d{1,8}\z/) && value.to_i.positive?

        @notes << "How many there are, (#{id}) #{value}, is no number of up to 8 digits."
      end

      # The last digit of the identifier says how many decimals follow.
      def measure(id, value)
        fact, factor = MEASURES[id[0, 3]]
        return unless fact
        return @notes << "The weight (#{id}) #{value} is no number." unless value.match?(/\A\d{6}\z/)

        amount = Rational(value.to_i, 10**id[3].to_i) * factor
        amount.positive? ? @facts[fact] ||= amount : @notes << "The weight (#{id}) is nothing."
      end

      # Day 00 stands for the last day of the month.
      def date(id, value, fact = DATES.fetch(id))
        year, month, day = value.match(/\A(\d\d)(\d\d)(\d\d)\z/)&.captures&.map(&:to_i)
        unless year
          return (
            @notes << "Its #{NAMES.fetch(id)} date, #{value.inspect}, is no day of six digits: type what is printed."
          )
        end

        @facts[fact] = Date.new(full(year), month, day.zero? ? -1 : day)
      rescue Date::Error
        @notes << "Its #{NAMES.fetch(id)} date says #{value}, and there is no such day: type what is printed."
      end

      def full(year)
        century = @today.year / 100 * 100
        apart = year - (@today.year % 100)
        return century - 100 + year if apart >= 51
        return century + 100 + year if apart <= -50

        century + year
      end
    end
  end
end
