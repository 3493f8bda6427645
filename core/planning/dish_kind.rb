# frozen_string_literal: true

module NutShelf
  module Core
    # What kind of dish a name says it is: four soups running are four different dishes, and a household is tired of
    # soup all the same. By the plain words that dishes are called by; nil where a name says none of them, then nothing
    # is held against it.
    module DishKind
      WORDS = {
        soup: /\b(?:soups?|broth|chowder)\b/i, salad: /\b(?:salad|slaw)\b/i, curry: /\b(?:curry|dal)\b/i,
        pasta: /\b(?:pasta|spaghetti|macaroni|lasagne|noodles?)\b/i, stew: /\b(?:stew|pot|chilli|hotpot|casserole)\b/i,
        rice: /\b(?:rice|risotto)\b/i, eggs: /\b(?:omelette|frittata|scramble|eggs?)\b/i,
        bread: /\b(?:toast|sandwich(?:es)?|wraps?|rolls?)\b/i, oats: /\b(?:oats|porridge|muesli)\b/i,
        pancakes: /\bpancakes?\b/i, bake: /\b(?:bake|pie|traybake|gratin)\b/i
      }.freeze

      module_function

      # @param name [String] of a dish
      # @return [Symbol, nil]
      def of(name) = WORDS.find { |_, words| name.match?(words) }&.first
    end
  end
end
