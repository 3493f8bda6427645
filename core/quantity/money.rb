# frozen_string_literal: true

require_relative "largest_remainder"

module NutShelf
  module Core
    # Money is an Integer of minor units (cents) in the household's one currency.
    module Money
      # Guessed price per kg in minor units by food group, for food nobody gave a price for, so that
      # waste never weighs nothing. Round figures; a household may set its own.
      ESTIMATE_PER_KG = {
        "grains" => 250, "vegetables" => 300, "fruit" => 350, "dairy" => 500, "protein" => 900, "fat" => 800,
        "sweets" => 900, "drinks" => 200, "water" => 50, "condiments" => 700, "supplies" => 500, "pet" => 400
      }.freeze

      module_function

      # @param minor [Integer] minor units to share
      # @param parts [Integer] how many portions, 1 or more
      # @return [Array<Integer>] minor units for each portion; they add up to `minor`
      def split(minor, parts) = LargestRemainder.split(minor, Array.new(parts, 1)).sort

      # @param minor [Integer] minor units
      # @return [String] with two decimals and a point, without a currency
      def plain(minor) = format("%.2f", minor/100r)

      # What a take carries off: its share of what the stack is still worth; the last take gets the rest.
      # @param value [Integer] minor units the stack is worth now
      # @param taken [Rational] amount taken
      # @param on_hand [Rational] amount before the take, above zero
      # @return [Integer] minor units
      def share(value, taken, on_hand)
        return value if taken >= on_hand

        LargestRemainder.split(value, [taken, on_hand - taken]).first
      end

      # @param grams [Rational] mass
      # @param group [String] food group
      # @param own [Hash{String=>Integer}] the household's own minor units per kg
      # @return [Integer] minor units; to be marked as an estimate wherever it is shown
      def estimate(grams, group, own = {})
        ((own[group] || ESTIMATE_PER_KG.fetch(group, 500)) * grams.to_r / 1000).round
      end
    end
  end
end
