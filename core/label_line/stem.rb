# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # Brings a word to the form under which it is looked up: lower case, singular, one spelling.
      module Stem
        SPELLINGS = {
          "yogurt" => "yoghurt", "yoghourt" => "yoghurt", "chili" => "chilli", "chile" => "chilli",
          "tinned" => "canned", "tin" => "canned", "potatoe" => "potato", "tomatoe" => "tomato", "soy" => "soya",
          "flavored" => "flavoured", "fibre" => "fiber", "veggie" => "vegetable", "veg" => "vegetable",
          "wholewheat" => "wholemeal", "leftover" => "leftover", "dehydrated" => "dried"
        }.freeze

        module_function

        # @param word [String]
        # @return [String]
        def of(word)
          stem = singular(word.downcase.delete("'’"))
          SPELLINGS.fetch(stem, stem)
        end

        # @return [String] the word without its plural ending
        def singular(word)
          case word
          when /\A.{1,3}\z/, /(?:ss|us|is)\z/
            word
          when /ies\z/
            word.length > 5 ? word.sub(/ies\z/, "y") : word.sub(/s\z/, "")
          when /(?:lea|loa)ves\z/
            word.sub(/ves\z/, "f")
          when /(?:oes|ches|shes|xes|sses)\z/
            word.sub(/es\z/, "")
          when /s\z/
            word.sub(/s\z/, "")
          else
            word
          end
        end
      end
    end
  end
end
