# frozen_string_literal: true

require "cgi"

module NutShelf
  module Exchange
    module Recipes
      # Text of recipes as people's programs leave it: markup, entities, odd spaces.
      module Words
        module_function

        # @param value [Object] of a foreign file
        # @return [String] one line of plain words
        def line(value) = block(value).gsub(/\s+/, " ").strip

        # @param value [Object]
        # @return [String] plain words; what was a paragraph stays a line
        def block(value)
          text = value.is_a?(Hash) ? (value["text"] || value["name"] || value["@value"]).to_s : value.to_s
          2.times do
            text = CGI.unescapeHTML(text.gsub(%r{<\s*(?:br|/p|/li|/div|/h\d)\s*/?>}i, "\n").gsub(/<[^>\n]{1,300}>/, ""))
          end
          named(text).gsub(/[\u200b\ufeff]/, "").lines.map do |one|
            one.gsub(/[^\S\n]+/, " ").strip
          end.reject(&:empty?).join("\n")
        end

        # The entities that HTML has names for and Ruby has not.
        NAMED = {
          "nbsp" => " ", "frac12" => "½", "frac14" => "¼", "frac34" => "¾", "deg" => "°", "eacute" => "é",
          "egrave" => "è", "ntilde" => "ñ", "uuml" => "ü", "ouml" => "ö", "auml" => "ä", "rsquo" => "’",
          "ndash" => "–", "mdash" => "—", "times" => "×", "hellip" => "…", "szlig" => "ß", "ecirc" => "ê",
          "agrave" => "à", "ccedil" => "ç", "lsquo" => "‘", "ldquo" => "“", "rdquo" => "”", "frac13" => "⅓",
          "frac23" => "⅔", "frasl" => "/"
        }.freeze

        # @return [String]
        def named(text) = text.gsub(/&(\w{2,8});/) { NAMED.fetch(Regexp.last_match(1), Regexp.last_match(0)) }

        # @param value [Object] "4 servings", ["4", "4 servings"], 4, "Serves 4-6", "Makes 12 buns"
        # @return [Integer, nil]
        def servings(value)
          texts = Array(value.is_a?(Hash) ? value["value"] : value).map { |one| line(one) }
          number = texts.filter_map { |text| text[/\d+/]&.to_i }.grep(1..500).first
          number || texts.filter_map { |text| COUNTED.index(text.downcase[/\b(?:#{COUNTED.join("|")})\b/]) }.first&.+(1)
        end

        COUNTED = %w[one two three four five six seven eight nine ten eleven twelve].freeze
      end
    end
  end
end
