# frozen_string_literal: true

require_relative "../../core/limits"
require_relative "../csv_file"
require_relative "json_ld"
require_relative "plain_text"
require_relative "saved_page"
require_relative "table"

module NutShelf
  module Exchange
    module Recipes
      # A file with a recipe, or several: finds out what it is, and says what is wrong with each.
      class File
        # What people paste is shorter, and so is every page with a recipe on it.
        LARGEST = 4_000_000

        class Unreadable < Error
        end

        LOOKED = {
          json: "It is JSON, but nothing in it is of the type Recipe.",
          page: "The page has no recipe data of schema.org. Copy its text and paste that.",
          table: "The table has headings, but no row.", text: "It has no text."
        }.freeze

        MISSING = {
          "name" => "It has no name. Give it one.",
          "lines" => "It lists nothing that goes in. Type the ingredients, one a line.",
          "steps" => "It does not say what to do. Type the steps, one a line.",
          "servings" => "It does not say for how many it is. Put in the number.",
          "total_minutes" => "It does not say how long it takes. Put in the minutes."
        }.freeze

        # @param bytes [String]
        def initialize(bytes)
          @text = decoded(bytes)
        end

        # @return [Array<Core::Recipes::Written>] each with its problems
        # @raise [Unreadable] where it holds no recipe at all, saying why
        def recipes
          found = read
          raise Unreadable, "There is no recipe in this file. #{LOOKED.fetch(kind)}" if found.empty?

          refuse_too_many(found)
          found.map { |one| one.with(problems: [*one.problems, *missing(one)].freeze) }
        rescue JSON::ParserError => e
          raise Unreadable, "The data of the recipe are broken: #{where(e)}. Save the page again, or paste the text."
        rescue CsvFile::Unreadable => e
          raise Unreadable, e.message
        end

        # @return [Symbol] :json, :page, :table or :text
        def kind
          head = @text.lstrip
          return :json if head.start_with?("{", "[")
          return :page if head.match?(/\A<(?:!doctype|html|head|body|div|script|!--|\?xml|article|main)/i)

          Table.like?(head) ? :table : :text
        end

        private

        def read
          case kind
          when :json then JsonLd.read(@text)
          when :page then SavedPage.read(@text)
          when :table then Table.read(@text)
          else
            refuse_long(@text)
            @text.strip.empty? ? [] : PlainText.read(@text)
          end
        end

        # What is read line by line must not keep the house busy.
        def refuse_too_many(found)
          limits = Core::Limits
          if found.size > limits::RECIPES
            raise Unreadable, "The file holds #{found.size} recipes. Bring in #{limits::RECIPES} at once at most."
          end
          return if found.sum { |one| one.lines.size } <= limits::RECIPE_LINES

          raise Unreadable, "More than #{limits::RECIPE_LINES} lines go in. Bring in fewer recipes at once."
        end

        def refuse_long(text)
          rows = text.count("\n")
          if rows > Core::Limits::RECIPE_ROWS
            raise Unreadable, "The text has #{rows} lines; a recipe has a few dozen. Paste one recipe at a time."
          end
          return if text.each_line.all? { |row| row.length <= Core::Limits::RECIPE_ROW_LETTERS }

          raise Unreadable, "One line of it is longer than any recipe's. Paste it with its line breaks."
        end

        def decoded(bytes)
          raise Unreadable, "The file is empty." if bytes.strip.empty?
          raise Unreadable, "The file is larger than 4 MB: that is no recipe." if bytes.bytesize > LARGEST
          return bytes.dup.force_encoding("UTF-16").encode("UTF-8") if bytes.b.start_with?("\xFF\xFE".b, "\xFE\xFF".b)

          text = bytes.dup.force_encoding("UTF-8")
          text = bytes.dup.force_encoding("Windows-1252").encode("UTF-8", undef: :replace) unless text.valid_encoding?
          raise Unreadable, "The file is no text: it holds bytes of a picture or a program." if binary?(text)

          text
        rescue EncodingError
          raise Unreadable, "The file is no text that can be read."
        end

        def binary?(text) = text.include?("\u0000") || text.start_with?("%PDF", "PK\u0003")

        def missing(one)
          [
            ("name" if one.name.empty?), ("lines" if one.lines.empty?), ("steps" if one.steps.empty?),
            ("servings" if one.servings.nil?), ("total_minutes" if one.total_minutes.nil?)
          ].compact.map { |at| Core::Recipes::Problem.new(at: at, text: MISSING.fetch(at)) }
        end

        def where(error) = error.message.lines.first.to_s.strip.sub(/\A\d+: /, "")[0, 120]
      end
    end
  end
end
