# frozen_string_literal: true

require_relative "../quantity/largest_remainder"

module NutShelf
  module Core
    # Of what a cook drew, what was eaten at once: the value that the kept portions carry on is not eaten yet.
    module EatenOfCooking
      module_function

      # @param drawn [Array<Integer>] minor units of each that was drawn, none below zero
      # @param kept [Integer] minor units the portions carry that were kept
      # @return [Array<Integer>] minor units eaten of each; they add up to what was drawn but for what was kept
      def values(drawn, kept)
        eaten = drawn.sum - kept
        return drawn.map { 0 } unless eaten.positive?

        LargestRemainder.split(eaten, drawn)
      end

      # @return [Rational] which part of what was drawn was eaten, by value; all of it where it cost nothing
      def share(drawn, kept) = drawn.sum.positive? ? Rational([drawn.sum - kept, 0].max, drawn.sum) : 1r
    end
  end
end
