# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A receipt held against the basket, line by line. What one food cost on several lines is added up. Frozen.
    class Receipt
      # What a shop printed: the words, minor units, and the food where it is certain. Frozen.
      Line = Value.of(:text, :price_minor, :food_id)
      # What is in the basket, and what was expected to be paid for it; nil where nobody knows. Frozen.
      Bought = Value.of(:ref, :text, :food_id, :price_minor)
      # A line of the basket with those of the receipt that are for it. Frozen.
      Pair = Value.of(:bought, :lines) do
        # @return [Integer] minor units paid
        def paid = lines.sum(&:price_minor)

        # @return [Boolean] whether that is what was expected
        def same? = paid == bought.price_minor
      end

      PRICED = /\A(.*?\S)\s+(-?\d{1,5})[.,](\d{2})\s*[A-Z*]?\z/
      # What stands on receipts and is nothing bought.
      NOTHING = /\b(?:sub-?total|total|sum|card|cash|change|vat|tax|balance|points|visit|saved)\b/i
      # Shorter words say too little to go by.
      WORD = /[[:alpha:]]{4,}/

      # @param text [String] as printed or typed, a line each
      # @yieldparam [String] the words of a line
      # @yieldreturn [Integer, nil] the food, where it is certain
      # @return [Array<Line>] lines that name a price
      def self.read(text)
        text.lines.filter_map do |raw|
          words, whole, cents = raw.strip.match(PRICED)&.captures
          next if words.nil? || words.match?(NOTHING)

          Line.new(text: words, price_minor: (whole.to_i * 100) + (whole.start_with?("-") ? -cents.to_i : cents.to_i),
            food_id: yield(words))
        end
      end

      attr_reader :pairs, :extra, :unpaid

      # @param lines [Array<Line>]
      # @param basket [Array<Bought>]
      def initialize(lines, basket)
        left = lines.dup
        @pairs = basket.filter_map do |bought|
          mine = left.select { |line| for?(line, bought) }
          left -= mine
          Pair.new(bought: bought, lines: mine.freeze) if mine.any?
        end.freeze
        @extra = left.freeze
        @unpaid = (basket - @pairs.map(&:bought)).freeze
        freeze
      end

      private

      def for?(line, bought)
        return line.food_id == bought.food_id if line.food_id && bought.food_id

        line.text.downcase.scan(WORD).intersect?(bought.text.downcase.scan(WORD))
      end
    end
  end
end
