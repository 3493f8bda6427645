# frozen_string_literal: true

require_relative "../command"

module NutShelf
  module Desk
    # A reading of the kitchen scale arrives.
    class ReadScale < Command
      private

      # @param input [Hash] :grams, :steady
      def perform(input)
        house.readings.keep("scale", { grams: input[:grams], steady: input[:steady] })
        { grams: input[:grams] }
      end
    end
  end
end
