# frozen_string_literal: true

require "bigdecimal"
require "date"
require "json"
require_relative "../core/buying/pack_cover"
require_relative "../core/errors"
require_relative "errors"

module NutShelf
  module Exchange
    # A JSON list of worked cases, [{id, kind, input}, ...]: figures of anybody's own, for the parts of the house that
    # reckon. What is wrong is said with its case and field.
    class CaseFile
      # What is wrong in a file: which case, which field, and how to mend it.
      class Unreadable < Error
      end

      # @param text [String]
      # @raise [Unreadable]
      def initialize(text)
        @cases = JSON.parse(text)
        return if @cases.is_a?(Array) && @cases.all? { |one| one.is_a?(Hash) && one["id"] && one["input"].is_a?(Hash) }

        raise Unreadable, "The file must hold a list of cases, [{\"id\": ..., \"input\": {...}}, ...]."
      rescue JSON::ParserError => e
        raise Unreadable, "That is no JSON: #{e.message.lines.first.strip}"
      end

      # One case, or a part of one: its figures by field.
      class Case
        # More than any shelf holds: beyond it a number is a slip, and what is made of it would fill the memory.
        MOST_DIGITS = 12
        MOST_COUNTED = 100_000
        YEARS = (1900..2200)

        # @param id [String]
        # @param input [Hash] as in the file
        def initialize(id, input)
          @id = id
          @input = input
        end

        # @return [Object] as it stands in the file
        def [](field) = @input[field]

        # @return [Date, nil]
        def day(field)
          day = @input[field] && Date.iso8601(@input[field])
          day.nil? || YEARS.cover?(day.year) ? day : bad(field, @input[field], "Write a day of our time.")
        rescue Date::Error, TypeError
          bad(field, @input[field], "Write a day like 2026-11-24.")
        end

        # @return [Date] one that must be there
        def the_day(field) = day(field) || bad(field, nil, "Write a day like 2026-11-24.")

        # @param known [Array<String>]
        # @param usual [String, nil] what holds where the field says nothing
        # @return [String]
        def one_of(field, known, usual: nil)
          said = @input[field].nil? ? usual : @input[field]
          known.include?(said) ? said : bad(field, @input[field], "Use one of #{known.join(", ")}.")
        end

        # @return [String, nil]
        def one_of_if(field, known) = @input[field].nil? ? nil : one_of(field, known)

        # @return [String, Integer] a name, or a number that stands for one
        def name(field)
          said = @input[field]
          named = (said.is_a?(String) && !said.strip.empty?) || said.is_a?(Integer)
          named ? said : bad(field, said, "Use a name.")
        end

        # @param known [Array<String>, nil] what may stand there
        # @return [Array<String>] what is listed under a field, none where there is no such field
        def names(field, known = nil)
          found = @input[field] || []
          bad(field, found, "Use a list of names.") unless found.is_a?(Array) && found.all?(String)
          strange = known ? found - known : []
          strange.empty? ? found : bad(field, strange.first, "Use of these: #{known.join(", ")}.")
        end

        # @return [Array<Rational>]
        def amounts(field)
          found = @input[field]
          bad(field, found, "Use a list of numbers.") unless found.is_a?(Array)
          found.each.with_index(1).map { |one, at| Case.new("#{@id}, #{field}", { at.to_s => one }).number(at.to_s) }
        end

        # @return [Hash{String=>Rational}] amounts by name, none where there is no such field
        def table(field)
          names = part(field) || Case.new(@id, {})
          names.fields.to_h { |name| [name, names.number(name)] }
        end

        # @return [Array<String>]
        def fields = @input.keys

        # @param usual [Rational, nil] what holds where the field says nothing
        # @return [Rational] 0 or more
        def number(field, usual: nil) = amount(field) || usual || bad(field, nil, "A number is missing.")

        # @return [Rational] above 0
        def positive(field)
          found = number(field)
          found.positive? ? found : bad(field, @input[field], "Use a number above 0.")
        end

        # @return [Array<Case>] what is listed under a field, none where there is no such field
        def list(field)
          found = @input.fetch(field, [])
          bad(field, found, "Use a list of {...}.") unless found.is_a?(Array) && found.all?(Hash)
          found.each_with_index.map { |row, at| Case.new("#{@id}, #{field} #{at + 1}", row) }
        end

        # @return [Rational, nil] 0 or more
        def amount(field)
          return if @input[field].nil?

          amount = decimal(field)
          amount.negative? ? bad(field, @input[field], "Use a number of 0 or more.") : amount
        end

        # @return [Rational] that may lie below 0
        def decimal(field)
          found = BigDecimal(@input[field].to_s)
          exponent = found.exponent.abs
          bad(field, @input[field], "That is no number of a household.") if !found.finite? || exponent > MOST_DIGITS
          found.to_r
        rescue ArgumentError
          bad(field, @input[field], "Write a number like 1.5.")
        end

        # @return [Integer] 0 or more, as many as are counted or days that are walked
        def whole(field)
          found = @input[field]
          fits = found.is_a?(Integer) && found.between?(0, MOST_COUNTED)
          fits ? found : bad(field, found, "Use a whole number of 0 to #{MOST_COUNTED}.")
        end

        # @return [Integer] above 0
        def at_least_one(field) = whole(field).positive? ? whole(field) : bad(field, self[field], "Use 1 or more.")

        # @return [Integer] minor units
        def money(field)
          found = @input[field]
          fits = found.is_a?(Integer) && found.between?(0, 10**MOST_DIGITS)
          fits ? found : bad(field, found, "Use whole minor units, such as cents.")
        end

        # @return [Case, nil] what stands under a field
        def part(field)
          found = @input[field] or return
          found.is_a?(Hash) ? Case.new("#{@id}, #{field}", found) : bad(field, found, "Use {...}.")
        end

        # @return [Array<Core::BuyablePack>]
        def packs
          bad("packs", nil, "List packs as {size, price_minor}.") if list("packs").empty?
          list("packs").map do |one|
            size = one.amount("size")
            one.bad("size", one["size"], "Use a number above 0.") unless size&.positive?
            Core::BuyablePack.new(size: size, price_minor: one.money("price_minor"))
          end
        end

        # @return [String] to six places
        def words(amount) = BigDecimal(amount.round(6), 24).to_s("F").delete_suffix(".0")

        # @raise [Unreadable]
        def bad(field, value, mend) = raise(Unreadable, "Case #{@id}, #{field} (#{value.inspect}): #{mend}")
      end

      private

      # @param fault [#call, nil] told of each case that cannot be answered, which is left out; nil: the first ends it
      # @yieldparam one [Hash] a case as it stands in the file
      # @return [Hash{String=>Object}] by id, in the order of the file
      def by_id(fault)
        @cases.each_with_object({}) do |one, all|
          Case.new(one["id"], one).bad("id", one["id"], "Give each case an id of its own.") if all.key?(one["id"].to_s)
          all[one["id"].to_s] = yield(one)
        rescue Unreadable => e
          fault ? fault.call(e) : raise
        end
      end

      # What the core refuses is said with the case it is of.
      # @param kind [#answer]
      # @param given [Case]
      # @raise [Unreadable]
      def told_of(kind, given)
        kind.answer
      rescue Core::Error => e
        given.bad("input", nil, [e.message, e.remedy].compact.join(" "))
      end

      def order = @order ||= @cases.map { |one| one["id"].to_s }

      # @param usual [String, nil] the kind of cases that say none
      # @yield [Case] of that kind
      # @return [Hash{String=>Object}]
      def told(kind, usual: nil)
        @cases.select { |one| one.fetch("kind", usual) == kind }.to_h do |one|
          [one["id"].to_s, yield(Case.new(one["id"].to_s, one["input"]))]
        end
      end
    end
  end
end
