# frozen_string_literal: true

require_relative "../label_line/units"
require_relative "../quantity/quantity"

module NutShelf
  module Core
    module Recipes
      # Words a recipe measures by: units, what a hand or a knife takes, and packs.
      module KitchenMeasures
        # What a hand takes, in grams or millilitres: usual values of cookery books, meant for seasoning and greens.
        ROUGH = {
          "pinch" => [Rational(3, 10), "g"], "dash" => [Rational(6, 10), "ml"], "handful" => [30r, "g"],
          "knob" => [15r, "g"], "drizzle" => [10r, "ml"], "splash" => [15r, "ml"], "glug" => [15r, "ml"],
          "bunch" => [30r, "g"], "sprig" => [2r, "g"], "thumb" => [15r, "g"], "grating" => [1r, "g"],
          "drop" => [Rational(1, 20), "ml"], "scoop" => [50r, "g"]
        }.freeze
        # Counted one by one.
        PIECES = %w[
          clove piece pc whole stalk rib rasher slice fillet ear leaf stick head breast thigh wedge round strip sheet
          cube ball floret spear pod bulb
        ].freeze
        # What some of them are of: a stick of butter is a measure, a head of garlic ten cloves.
        OF_FOOD = {
          %w[stick butter] => [113r, "g"], %w[stick margarine] => [113r, "g"], %w[head garlic] => [10r, "piece"],
          %w[bulb garlic] => [10r, "piece"], %w[bunch spring-onions] => [6r, "piece"],
          %w[bunch radishes] => [12r, "piece"], %w[leaf gelatine] => [2r, "g"], %w[sheet gelatine] => [2r, "g"],
          %w[cube stock-cubes-vegetable] => [10r, "g"], %w[cube stock-cubes-chicken] => [10r, "g"],
          %w[sachet dried-yeast] => [7r, "g"], %w[packet dried-yeast] => [7r, "g"],
          %w[packet baking-powder] => [15r, "g"], %w[leaf bay-leaves] => [Rational(1, 4), "g"]
        }.freeze
        PACKS = %w[
          tin can jar packet pack package pkt bag carton bottle pouch tub box sachet block punnet tube pot loaf
        ].freeze
        SAME = { "can" => "tin", "pack" => "packet", "package" => "packet", "pkt" => "packet" }.freeze
        ADJECTIVES =
          /\A(?:(?:heaped|heaping|level|rounded|scant|generous|good|big|large|small|medium|packed|short|full)
              \s+)+/xi
        SPELLED = {
          "t" => "tsp", "tsps" => "tsp", "tbsps" => "tbsp", "tbs" => "tbsp", "tblsp" => "tbsp", "tbl" => "tbsp",
          "c" => "cup", "dessertspoon" => "tsp", "dessertspoons" => "tsp", "el" => "tbsp", "tl" => "tsp"
        }.freeze

        module_function

        # @param word [String] as it stands there: "Tbsp." or "T"
        # @param settings [Hash] whose cups: see LabelLine::Units::MEASURES
        # @return [String, nil] a unit of Unit::TABLE
        def unit(word, settings)
          return "tbsp" if word == "T"

          bare = word.downcase.delete_suffix(".")
          found = LabelLine::Units.unit(SPELLED.fetch(bare, bare), settings)
          found unless found == "piece"
        end

        # @return [String, nil] what it is counted by: a key of ROUGH, PIECES or PACKS
        def noun(word)
          bare = word.downcase.delete_suffix(".")
          forms = [bare, bare.sub(/ves\z/, "f"), bare.sub(/hes\z/, "h"), bare.sub(/s\z/, ""), bare.sub(/ful\z/, "")]
          found = forms.find { |form| ROUGH.key?(form) || PIECES.include?(form) || PACKS.include?(form) }
          found ||= "leaf" if bare == "leaves"
          found ||= "loaf" if bare == "loaves"
          SAME.fetch(found, found)
        end
      end
    end
  end
end
