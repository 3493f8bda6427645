# frozen_string_literal: true

require_relative "../core/quantity/degrees"
require_relative "refusal"

module NutShelf
  module Desk
    # What was said of a place's temperatures, in the degrees they are kept in.
    module InCelsius
      RANGE = (-60..80)

      module_function

      # @param input [Hash] with :low_c and :high_c in the unit :degrees names
      # @return [Hash] the same in Celsius, without :degrees
      # @raise [Invalid] for what no place of a house is
      def of(input)
        unit = input.fetch(:degrees, "c")
        read = {
          low_c: Core::Degrees.coldest(input[:low_c], unit),
          high_c: Core::Degrees.warmest(input[:high_c], unit)
        }.slice(*input.keys)
        name, = read.find { |_, value| value && !RANGE.cover?(value) }
        raise Refusal.of(:no_such_climate, at: "/#{name}") if name

        input.except(:degrees).merge(read)
      end
    end
  end
end
