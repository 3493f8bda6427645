# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # State words: opened, frozen, leftover, home-made, unripe.
      class StateField
        RUNS = { %w[left over] => "leftover", %w[left overs] => "leftover", %w[leftover] => "leftover", %w[leftovers] => "leftover",
                 %w[home - made] => "home_made", %w[home made] => "home_made", %w[homemade] => "home_made", %w[opened] => "opened", %w[open] => "opened",
                 %w[left - over] => "leftover", %w[unripe] => "unripe" }.freeze

        def initialize(line)
          @line = line
        end

        def read
          @line.tokens.each_index do |index|
            words, state = RUNS.find { |run, _| run.each_with_index.all? { |word, offset| @line.text(index + offset) == word } }
            next unless words

            @line.found[:state] ||= state
            @line.claim(:state, (index...(index + words.size)).to_a)
          end
          @line.found[:state] ||= "frozen" if @line.free_indexes.any? { |index| @line.text(index) == "frozen" }
        end
      end
    end
  end
end
