# frozen_string_literal: true

require "json"
require_relative "words"
require_relative "../../core/recipes/cooking_time"
require_relative "../../core/recipes/written"

module NutShelf
  module Exchange
    module Recipes
      # schema.org recipes in JSON-LD: alone, in lists, in a graph, nested in a page. https://schema.org/Recipe
      module JsonLd
        MEALS = {
          /breakfast|brunch/i => "breakfast", /lunch|salad|soup|sandwich|starter/i => "lunch",
          /snack|dessert|cake|baking|drink|sweet/i => "snack", /dinner|main|supper/i => "dinner"
        }.freeze
        DEPTH = 12

        module_function

        # @param text [String]
        # @return [Array<Core::Recipes::Written>]
        # @raise [JSON::ParserError] where it is no JSON
        def read(text) = found(JSON.parse(lenient(text), max_nesting: 60)).map { |node| written(node) }

        # What many programs write around JSON: a byte order mark, comment marks of a page, raw line ends in strings.
        # @return [String]
        def lenient(text)
          bare = text.delete_prefix("\ufeff").strip.sub(%r{\A(?:<!--|<!\[CDATA\[|//\s*<!\[CDATA\[)}, "")
          bare = bare.sub(%r{(?:-->|//\s*\]\]>|\]\]>)\s*\z}, "").strip.delete_suffix(";")
          in_strings(bare).gsub(/,(\s*[}\]])/, '\1')
        end

        # @return [String] without line ends and tabs inside of strings, which JSON forbids
        def in_strings(text)
          text.gsub(/"(?:[^"\\]|\\.)*"/m) { |one| one.gsub(/[\n\r\t]+/, " ") }
        end

        # @return [Array<Hash>] every recipe, however deep it lies
        def found(node, depth = 0)
          return [] if depth > DEPTH
          return node.flat_map { |one| found(one, depth + 1) } if node.is_a?(Array)
          return [] unless node.is_a?(Hash)
          return [node] if recipe?(node)

          node.values.select { |one| one.is_a?(Hash) || one.is_a?(Array) }.flat_map { |one| found(one, depth + 1) }
        end

        # @return [Boolean]
        def recipe?(node) = Array(node["@type"]).any? { |type| type.to_s.match?(%r{(?:\A|[/:#])Recipe\z}) }

        # @param node [Hash]
        # @return [Core::Recipes::Written]
        def written(node)
          problems = []
          total = time(node, "totalTime", problems)
          prep = time(node, "prepTime", problems)
          cook = time(node, "cookTime", problems)
          Core::Recipes::Written.new(
            name: Words.line(node["name"] || node["headline"]),
            servings: Words.servings(node["recipeYield"] || node["yield"] || node["recipeServings"]),
            yields: Array(node["recipeYield"]).map { |one| Words.line(one) }.max_by(&:length).to_s,
            total_minutes: total || ([prep, cook].compact.sum if prep || cook),
            active_minutes: prep || total || cook,
            lines: listed(node["recipeIngredient"] || node["ingredients"]),
            steps: steps(node["recipeInstructions"]).freeze,
            meal: meal(node), tags: tags(node), notes: Words.line(node["description"]), source: source(node),
            problems: problems.freeze
          )
        end

        # @return [Integer, nil]
        def time(node, key, problems)
          said = node[key]
          said = said["maxValue"] || said["@value"] || said["value"] if said.is_a?(Hash)
          said = Array(said).first
          return if said.to_s.strip.empty? || said.to_s.match?(/\AP(?:T?0[A-Z])*\z/)

          Core::Recipes::CookingTime.minutes(said).tap do |minutes|
            problems << problem(key, "#{said.inspect} is no time. Write PT45M or 45 min.") unless minutes
          end
        end

        # @return [Core::Recipes::Problem]
        def problem(at, text) = Core::Recipes::Problem.new(at: at, text: text)

        # @return [Array<String>] one ingredient a line, however the file holds them
        def listed(value)
          items = value.is_a?(Hash) ? Array(value["itemListElement"] || value["text"] || value["name"]) : Array(value)
          items.flat_map { |one| one.is_a?(Hash) ? worded(one) : Words.block(one).split("\n") }.reject(&:empty?).freeze
        end

        # {"name": "flour", "amount": "200 g"}
        def worded(item)
          return worded(item["item"]) if item["item"].is_a?(Hash)

          amount = item["amount"] || item["quantity"] || [item["value"], item["unitText"]].compact.join(" ")
          [Words.line([Words.line(amount), Words.line(item["name"] || item["text"] || item["item"])].join(" "))]
        end

        # Strings, HowToStep, HowToSection, ItemList, or one text.
        # @return [Array<String>]
        def steps(value)
          case value
          when Array then value.flat_map { |one| steps(one) }
          when Hash then of_hash(value)
          else Words.block(value).split("\n").map { |one| one.sub(/\A(?:step\s*)?\d+[.):]\s+/i, "") }
          end
        end

        # @return [Array<String>] a section's name stands before its first step
        def of_hash(value)
          inner = value["itemListElement"] || value["steps"] || value["item"]
          return Words.block(value["text"] || value["description"] || value["name"]).split("\n") unless inner

          heading = Array(value["@type"]).include?("HowToSection") ? Words.line(value["name"]) : ""
          first, *rest = steps(inner)
          heading.empty? || first.nil? ? [first, *rest].compact : ["#{heading}: #{first}", *rest]
        end

        # @return [String, nil]
        def meal(node)
          said = [node["recipeCategory"], node["keywords"]].flatten.join(" ")
          MEALS.find { |pattern, _| pattern.match?(said) }&.last
        end

        # @return [Array<String>]
        def tags(node)
          said = [node["keywords"], node["recipeCategory"], node["recipeCuisine"]].flatten.compact
          said.flat_map { |one| Words.line(one).downcase.split(/\s*[,;]\s*/) }.reject(&:empty?).uniq.first(12).freeze
        end

        # @return [String] who wrote it or where it stood
        def source(node)
          author = Array(node["author"]).map { |one| Words.line(one.is_a?(Hash) ? one["name"] : one) }.reject(&:empty?)
          (author.first || node["url"] || node["@id"]).to_s[0, 200]
        end
      end
    end
  end
end
