# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # How much of a dish to cook for so many, from what was eaten of it the last time.
    module OccasionAmounts
      # A dish as it was served: portions cooked, portions left, and heads at the table. Frozen.
      Served = Value.of(:cooked, :left, :heads)

      # How many portions, and why: "asked" (the table asks for it) or "last_time". Frozen.
      Amount = Value.of(:servings, :why)

      # Portions are rounded up to halves, for nobody cooks a third of a portion for guests.
      STEP = 1/2r
      # Where everything was eaten there may have been too little: a tenth more.
      ALL_GONE = 11/10r

      module_function

      # @param portions [Rational] usual portions of everybody who comes
      # @param heads [Integer]
      # @param last [Served, nil]
      # @return [Amount]
      def for(portions:, heads:, last: nil)
        return Amount.new(servings: rounded(portions), why: "asked") unless last&.heads&.positive?

        eaten = (last.cooked - last.left).clamp(0r, last.cooked)
        each = eaten / last.heads * (last.left.zero? ? ALL_GONE : 1)
        Amount.new(servings: [rounded(each * heads), STEP].max, why: "last_time")
      end

      # @return [Rational]
      def rounded(portions) = (portions.to_r / STEP).ceil * STEP
    end
  end
end
