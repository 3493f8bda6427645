# frozen_string_literal: true

require "nokogiri"
require_relative "json_ld"

module NutShelf
  module Exchange
    module Recipes
      # A web page somebody saved: its JSON-LD, else its microdata. https://html.spec.whatwg.org/#microdata
      module SavedPage
        LISTS = %w[recipeIngredient ingredients recipeInstructions].freeze

        module_function

        # @param text [String]
        # @return [Array<Core::Recipes::Written>]
        # @raise [JSON::ParserError] where no script of it can be read, and nothing else holds a recipe
        def read(text)
          page = Nokogiri::HTML5(text, max_errors: 0)
          faults = []
          found = scripts(page).flat_map { |script| read_script(script, faults) }
          found = microdata(page) if found.empty?
          raise faults.first if found.empty? && faults.any?

          found
        end

        # One broken script of a page (there are many) hides no recipe in another.
        def read_script(script, faults)
          JsonLd.read(script)
        rescue JSON::ParserError => e
          faults << e
          []
        end

        # @return [Array<String>]
        def scripts(page) = page.css("script").select { |one| one["type"].to_s.match?(/ld\+json/i) }.map(&:text)

        # @return [Array<Core::Recipes::Written>]
        def microdata(page)
          page.css('[itemtype*="schema.org/Recipe"]').map { |node| JsonLd.written(properties(node)) }
        end

        # @return [Hash{String=>Object}] as the JSON of it would hold them
        def properties(node)
          node.css("[itemprop]").each_with_object({ "@type" => "Recipe" }) do |one, found|
            key = one["itemprop"].split.first.to_s
            value = one["content"] || one["datetime"] || one.inner_html
            LISTS.include?(key) ? (found[key] ||= []) << value : found[key] ||= value
          end
        end
      end
    end
  end
end
