# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # How far two words are apart: letters added, dropped, changed or swapped with their neighbour
      # (optimal string alignment; Damerau 1964, Levenshtein 1966).
      module Typo
        module_function

        # Typos allowed in a word of this length; none in very short words.
        def allowed(word) = word.length < 4 ? 0 : (word.length < 8 ? 1 : 2)

        # @param one [String]
        # @param other [String]
        # @param limit [Integer] give up beyond this
        # @return [Integer, nil] distance, nil when above the limit
        def distance(one, other, limit)
          return if (one.length - other.length).abs > limit

          rows = [nil, (0..other.length).to_a]
          one.each_char.with_index(1) do |char, at|
            rows = [rows[1], next_row(rows, char, one, other, at)]
            return if rows[1].min > limit
          end
          rows[1].last <= limit ? rows[1].last : nil
        end

        # @return [Array<Integer>] the next row of the distance table
        def next_row(rows, char, one, other, at)
          before, last = rows
          other.each_char.with_index(1).with_object([at]) do |(letter, j), row|
            cost = char == letter ? 0 : 1
            best = [last[j] + 1, row[j - 1] + 1, last[j - 1] + cost].min
            best = [best, before[j - 2] + 1].min if before && j > 1 && char == other[j - 2] && one[at - 2] == letter
            row << best
          end
        end
      end
    end
  end
end
