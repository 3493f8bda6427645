# frozen_string_literal: true

require_relative "quantity"

module NutShelf
  module Core
    # How amounts read: "3 x 400 g", "250 g, open", "1.2 kg", "6".
    module Wording
      module_function

      # @param quantity [Quantity]
      # @return [String] in the unit a person would say: kg from 1000 g, l from 1000 ml
      def free(quantity)
        amount = quantity.amount
        case quantity.dimension
        when :mass then amount >= 1000 ? "#{short(amount / 1000, 3)} kg" : "#{short(amount)} g"
        when :volume then amount >= 1000 ? "#{short(amount / 1000, 3)} l" : "#{short(amount)} ml"
        else short(amount)
        end
      end

      # @param on_hand [Quantity] all of the stack
      # @param pack [Quantity, nil] one pack of it
      # @param noun [String, nil] "jar", "portion": the word for one piece of an unmeasured pack
      # @param open [Boolean]
      # @return [String]
      def stack(on_hand, pack: nil, noun: nil, open: false)
        return "#{counted(on_hand.amount, noun)}#{', open' if open}" if noun && on_hand.dimension == :count
        return "#{free(on_hand)}#{', open' if open}" if pack.nil? || open || on_hand.zero?

        packs = on_hand / pack
        return free(on_hand) if packs == 1 || packs.denominator != 1 || pack.amount == 1

        "#{packs.to_i} x #{free(pack)}"
      end

      def counted(amount, noun)
        return "half a #{noun}" if amount == Rational(1, 2)

        "#{short(amount)} #{amount == 1 ? noun : plural(noun)}"
      end

      def plural(noun)
        case noun
        when /(?:[sx]|ch|sh)\z/ then "#{noun}es"
        when /(?<!o)af\z/ then noun.sub(/f\z/, "ves")
        when /loaf\z/ then noun.sub(/loaf\z/, "loaves")
        else "#{noun}s"
        end
      end

      def short(number, places = 2) = Decimal.print(number.to_r.round(number.abs >= 100 ? 0 : places))
    end
  end
end
