# frozen_string_literal: true

module NutShelf
  module Core
    # What a household uses of each food besides the meals that are planned: so much a day from a day on. Frozen.
    class Habits
      attr_reader :from

      # @param daily [Hash{String=>Rational}] grams a day by food key, as it comes from the pack
      # @param from [Date, nil] first day of that use
      def initialize(daily, from)
        @daily = daily.select { |_, grams| grams.positive? }.freeze
        @from = from
        freeze
      end

      # @param key [String] of a food
      # @return [Rational, nil] grams a day; nil where it is not used but in meals
      def daily(key) = @daily[key]

      # @return [Array<String>] keys of the foods that are used
      def keys = @daily.keys

      NONE = new({}, nil)
    end
  end
end
