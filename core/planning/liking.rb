# frozen_string_literal: true

module NutShelf
  module Core
    # How much a table likes a dish, from 0 to 1: half where nobody said anything; what one loves and another does not
    # want meets in the middle. Children's favourites count like anybody's.
    module Liking
      WORDS = { "loves" => 1r, "not" => 0r }.freeze
      SAME = 1/2r

      module_function

      # @param likes [Hash{String=>String}] person's id to a word of WORDS
      # @param people [Array<Integer, nil>] who sits there; nil: a guest, who says nothing
      # @return [Rational]
      def of(likes, people)
        return SAME if people.empty? || likes.empty?

        people.sum(0r) { |id| WORDS.fetch(likes[id.to_s], SAME) } / people.size
      end
    end
  end
end
