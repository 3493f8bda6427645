# frozen_string_literal: true

require_relative "measures"
require_relative "quantity"

module NutShelf
  module Core
    # How amounts read: "3 x 400 g", "250 g, open", "1.2 kg", "6".
    module Wording
      METRIC = Measures.of("metric")

      module_function

      # @param quantity [Quantity]
      # @param measures [Measures] of the household
      # @return [String] in the unit a person would say: kg from 1000 g, l from 1000 ml
      def free(quantity, measures = METRIC) = measures.free(quantity)

      # @param on_hand [Quantity] all of the stack
      # @param pack [Quantity, nil] one pack of it
      # @param noun [String, nil] "jar", "portion": the word for one piece of an unmeasured pack
      # @param open [Boolean]
      # @param measures [Measures] of the household
      # @return [String]
      def stack(on_hand, pack: nil, noun: nil, open: false, measures: METRIC)
        return "#{counted(on_hand.amount, noun)}#{", open" if open}" if noun && on_hand.dimension == :count
        return "#{on_hand == pack ? measures.size(pack) : measures.free(on_hand)}, open" if open && !on_hand.zero?
        return "#{measures.free(on_hand)}#{", open" if open}" if pack.nil? || on_hand.zero?

        packs = on_hand / pack
        return measures.size(pack) if packs == 1
        return measures.free(on_hand) if packs.denominator != 1 || pack.amount == 1

        "#{packs.to_i} x #{measures.size(pack)}"
      end

      # @return [String] "3 jars", "half a jar"
      def counted(amount, noun)
        return "half a #{noun}" if amount == Rational(1, 2)

        "#{short(amount)} #{amount == 1 ? noun : plural(noun)}"
      end

      # @return [String] more than one of it
      def plural(noun)
        case noun
        when /(?:[sx]|ch|sh)\z/
          "#{noun}es"
        when /(?<!o)af\z/
          noun.sub(/f\z/, "ves")
        when /loaf\z/
          noun.sub(/loaf\z/, "loaves")
        else
          "#{noun}s"
        end
      end

      # @return [String] with no more places than people read
      def short(number, places = 2) = Decimal.short(number, places)
    end
  end
end
