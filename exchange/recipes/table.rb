# frozen_string_literal: true

require_relative "../csv_file"
require_relative "words"
require_relative "../../core/recipes/cooking_time"
require_relative "../../core/recipes/written"

module NutShelf
  module Exchange
    module Recipes
      # Recipes in a table: a row a recipe, with its ingredients in one cell, or a row an ingredient.
      class Table
        HEADINGS = {
          name: /\A(?:recipe|recipe name|name|title|dish)\z/,
          servings: /\A(?:servings?|serves|portions?|yield|makes)\z/,
          total: /\A(?:total|total[ _]?(?:time|minutes)|time|minutes|duration|mins?)\b/,
          active: /\A(?:active|prep)(?:aration)?[ _]?(?:time|minutes)?\b/,
          cook: /\Acook(?:ing)?[ _]?(?:time|minutes)?\z/,
          lines: /\Aingredients?(?:[ _]list)?\z/, steps: /\A(?:steps?|method|instructions?|directions?)\z/,
          amount: /\A(?:amount|quantity|qty|menge)\z/, unit: /\A(?:unit|units|measure)\z/,
          food: /\A(?:item|food|ingredient[ _]?name|product)\z/, notes: /\A(?:notes?|comments?|remarks?)\z/,
          meal: /\A(?:meal|course|category)\z/
        }.freeze
        # What parts the lines in one cell: line ends, else bars, else semicolons.
        PARTS = [/\s*\n\s*/, /\s*\|\s*/, /\s*;\s*/].freeze

        # @param bytes [String]
        # @return [Array<Core::Recipes::Written>]
        # @raise [CsvFile::Unreadable] where it is no table
        def self.read(bytes) = new(CsvFile.new(bytes, heading: 1)).recipes

        # @param text [String]
        # @return [Boolean] whether its first line is headings of such a table
        def self.like?(text)
          heads = text.lines.first.to_s.strip.split(/[,;\t|]/).map { |one| one.delete('"').strip.downcase }
          found = HEADINGS.select { |_, pattern| heads.any? { |head| head.match?(pattern) } }.keys
          heads.size > 1 && found.intersect?(%i[lines food amount]) && found.size > 1
        end

        def initialize(file)
          @rows = file.rows.map(&:last)
          heads = file.headings.map { |one| one.to_s.strip.downcase }
          @at = HEADINGS.transform_values { |pattern| heads.index { |head| head.match?(pattern) } }.compact
        end

        # @return [Array<Core::Recipes::Written>]
        def recipes
          return @rows.map { |row| whole(row) } unless a_line_each?

          grouped.map { |rows| of_lines(rows) }
        end

        private

        def a_line_each? = @at.key?(:food) || (@at.key?(:amount) && @at.key?(:lines))

        def parts(row, field)
          text = cell(row, field)
          text.split(PARTS.find { |pattern| text.match?(pattern) } || PARTS.first)
        end

        # Rows belong to the name above them.
        def grouped
          @rows.slice_when { |one, row| !cell(row, :name).empty? && cell(row, :name) != cell(one, :name) }.to_a
        end

        def cell(row, field) = @at.key?(field) ? row[@at[field]].to_s.strip : ""

        def whole(row) = written(row, parts(row, :lines), parts(row, :steps))

        def of_lines(rows)
          lines =
            rows.map do |row|
              name = @at.key?(:food) ? cell(row, :food) : cell(row, :lines)
              Words.line([cell(row, :amount), cell(row, :unit), name].reject(&:empty?).join(" "))
            end
          written(rows.first, lines, rows.flat_map { |row| parts(row, :steps) })
        end

        def written(row, lines, steps)
          problems = []
          times = %i[total active cook].to_h { |key| [key, minutes(row, key, problems)] }
          total = times[:total] || ([times[:active], times[:cook]].compact.sum if times.values.any?)
          Core::Recipes::Written.new(
            name: Words.line(cell(row, :name)), servings: Words.servings(cell(row, :servings)),
            yields: cell(row, :servings), total_minutes: total, active_minutes: times[:active] || total,
            lines: lines.map { |one| Words.line(one) }.reject(&:empty?).freeze, notes: cell(row, :notes),
            steps: steps.map { |one| Words.line(one).sub(/\A\d+[.)]\s*/, "") }.reject(&:empty?).freeze,
            meal: meal(row), problems: problems.freeze
          )
        end

        def meal(row)
          cell(row, :meal).downcase.then { |said| said if %w[breakfast lunch dinner snack].include?(said) }
        end

        def minutes(row, key, problems)
          said = cell(row, key)
          return if said.empty?

          Core::Recipes::CookingTime.minutes(said).tap do |found|
            next if found

            problems << Core::Recipes::Problem.new(at: key.to_s,
              text: "#{said.inspect} is no time. Write minutes, or 1:15.")
          end
        end
      end
    end
  end
end
