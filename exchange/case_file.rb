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
          @input[field] && Date.iso8601(@input[field])
        rescue Date::Error, TypeError
          bad(field, @input[field], "Write a day like 2026-11-24.")
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

          amount = BigDecimal(@input[field].to_s).to_r
          amount.negative? ? bad(field, @input[field], "Use a number of 0 or more.") : amount
        rescue ArgumentError, FloatDomainError
          bad(field, @input[field], "Write a number like 1.5.")
        end

        # @return [Integer]
        def whole(field)
          found = @input[field]
          found.is_a?(Integer) && !found.negative? ? found : bad(field, found, "Use a whole number of 0 or more.")
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
            Core::BuyablePack.new(size: size, price_minor: one.whole("price_minor"))
          end
        end

        # @return [String] to six places
        def words(amount) = BigDecimal(amount.round(6), 24).to_s("F").delete_suffix(".0")

        # @raise [Unreadable]
        def bad(field, value, mend) = raise(Unreadable, "Case #{@id}, #{field} (#{value.inspect}): #{mend}")
      end

      private

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
