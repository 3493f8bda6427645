# frozen_string_literal: true

require_relative "../limits"
require_relative "../quantity/money"
require_relative "../value"

module NutShelf
  module Core
    # Splits an amount into portions: how many, how large, what each costs, and what is left. The count reconciles
    # with the input, the costs add up by largest remainder. Amounts in base units, exact. Frozen.
    class Split
      # Portions of one size and cost, so many of them. Frozen.
      Portions = Value.of(:count, :size, :cost_minor)

      QUANTUM = Rational(1, 1_000_000)

      attr_reader :size, :count, :rest, :rest_minor, :portions

      # @param amount [Rational] what there is
      # @param cost_minor [Integer] what it is worth
      # @param count [Integer, nil] so many portions of the same size, nothing left
      # @param size [Rational, nil] as many portions of this size as it gives; what remains is the rest
      # @raise [ArgumentError] when neither or both are said, or nothing comes of it
      def initialize(amount:, cost_minor:, count: nil, size: nil)
        raise ArgumentError, "say how many portions or how large one is" unless count.nil? ^ size.nil?

        raise ArgumentError, "a portion is larger than nothing" if size && !size.positive?

        @size = size || even(amount, count)
        @count = count || (amount / size).floor
        if @count > Limits::PORTIONS
          raise ArgumentError, "#{@count} portions are more than #{Limits::PORTIONS}, the most that are made at once"
        end
        raise ArgumentError, "not even one portion comes of it" unless @count.positive? && @size.positive?

        @rest = amount - (@size * @count)
        share(cost_minor, amount)
        freeze
      end

      private

      # A third of 1000 g is no exact decimal: portions are cut to the quantum and the crumbs are the rest.
      def even(amount, count) = (amount / count / QUANTUM).floor * QUANTUM

      def share(cost, amount)
        # Crumbs under a hundredth of a unit have no price of their own.
        @rest_minor = @rest < Rational(1, 100) ? 0 : LargestRemainder.split(cost, [amount - @rest, @rest]).last
        costs = Money.split(cost - @rest_minor, @count).tally
        @portions = costs.map { |each, many| Portions.new(count: many, size: @size, cost_minor: each) }.freeze
      end
    end
  end
end
