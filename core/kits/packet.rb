# frozen_string_literal: true

require_relative "../value"
require_relative "lines"

module NutShelf
  module Core
    module Kits
      # One pack that goes into a box: the line it counts for and how much of it, kcal for people, grams with packing,
      # millilitres of room, whether it needs an opener or is of glass. Frozen.
      Packet =
        Value.of(:id, :line, :amount, :kcal, :gross_g, :box_ml, opener: false, glass: false) do
          # @param given [Given] of any number of packs
          # @return [Array<Packet>] each of them
          def self.of(given)
            packs = given.stack.packs
            line = Lines.of(given.stack.food)
            one = new(
              id: given.stack.id, line: line, amount: given.line(line) / packs, kcal: given.line("kcal") / packs,
              gross_g: given.gross_g / packs, box_ml: given.box_ml / packs, opener: given.needs_opener?,
              glass: given.glass?
            )
            Array.new(packs) { one }
          end
        end
    end
  end
end
