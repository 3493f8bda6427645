# frozen_string_literal: true

require_relative "../quantity/unit"

module NutShelf
  module Core
    module LabelLine
      # Unit words and the nouns packs are counted by.
      module Units
        NAMES =
          {
            "mg" => %w[mg], "g" => %w[g gr gram grams gramme grammes grm],
            "kg" => %w[kg kgs kilo kilos kilogram kilograms kilogramme], "oz" => %w[oz ounce ounces],
            "lb" => %w[lb lbs pound pounds], "ml" => %w[ml mls millilitre millilitres milliliter milliliters],
            "cl" => %w[cl centilitre centilitres], "dl" => %w[dl decilitre decilitres],
            "l" => %w[l lt ltr ltrs litre litres liter liters], "tsp" => %w[tsp teaspoon teaspoons],
            "tbsp" => %w[tbsp tablespoon tablespoons], "cup" => %w[cup cups], "pint" => %w[pint pints pt pts],
            "floz" => %w[floz], "quart" => %w[quart quarts qt qts], "gallon" => %w[gallon gallons gal gals],
            "piece" => %w[piece pieces pc pcs]
          }.flat_map { |unit, words| words.map { |word| [word, unit] } }.to_h.freeze

        NOUNS = %w[
          tin can jar bottle carton pack packet pkt package bag box tub tube pouch sachet loaf portion serving bunch
          head bulb slice stick block bar tray punnet net sack case crate roll pot brick cube container drum canister
          fillet tetra keg ball wheel sprig bucket wedge sleeve multipack pk pck jug
        ].freeze

        SHORT_NOUNS = {
          "pkt" => "packet", "pk" => "pack", "pck" => "pack", "pkts" => "packet", "pks" => "pack", "btl" => "bottle",
          "btls" => "bottle", "ctn" => "carton", "ctns" => "carton", "cntr" => "container", "pch" => "pouch",
          "bx" => "box"
        }.freeze

        # Whose cups, pints, quarts and gallons: what a household chooses.
        MEASURES = {
          "metric" => {
            system: "metric",
            cup: "metric_cup",
            pint: "uk_pint"
          },
          "us" => {
            system: "us",
            cup: "us_cup",
            pint: "us_pint"
          },
          "imperial" => {
            system: "imperial",
            cup: "uk_cup",
            pint: "uk_pint"
          }
        }.freeze

        module_function

        # @param text [String, nil]
        # @param settings [Hash] :cup, :pint, :ounce, :gallon choose the household's measures
        # @return [String, nil] a unit of Unit::TABLE
        def unit(text, settings)
          name = NAMES[text]
          case name
          when "cup"
            settings.fetch(:cup, "metric_cup")
          when "pint"
            settings.fetch(:pint, "uk_pint")
          when "floz"
            settings.fetch(:pint, "uk_pint") == "us_pint" ? "us_floz" : "uk_floz"
          when "quart"
            settings.fetch(:pint, "uk_pint") == "us_pint" ? "us_quart" : "uk_quart"
          when "gallon"
            settings.fetch(:pint, "uk_pint") == "us_pint" ? "us_gallon" : "uk_gallon"
          else
            name
          end
        end

        # @return [String, nil] the singular noun, when the word counts packs
        def noun(text)
          return unless text
          return SHORT_NOUNS[text] if SHORT_NOUNS.key?(text)

          [text, text.sub(/ves\z/, "f"), text.sub(/es\z/, ""), text.sub(/s\z/, "")].find { |word| NOUNS.include?(word) }
        end
      end
    end
  end
end
