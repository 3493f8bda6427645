# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # State words: opened, frozen, leftover, home-made, bottled or dried at home, unripe, thawed.
      class StateField
        RUNS = {
          %w[left over] => "leftover",
          %w[left overs] => "leftover",
          %w[leftover] => "leftover",
          %w[leftovers] => "leftover",
          %w[home - made] => "home_made",
          %w[home made] => "home_made",
          %w[homemade] => "home_made",
          %w[opened] => "opened",
          %w[open] => "opened",
          %w[left - over] => "leftover",
          %w[unripe] => "unripe",
          %w[not ripe] => "unripe",
          %w[not ripe yet] => "unripe",
          %w[not yet ripe] => "unripe",
          %w[thawed] => "thawed",
          %w[defrosted] => "thawed",
          **%w[canned bottled]
            .flat_map { |how| [["home", how], ["home", "-", how], [how, "at", "home"]] }
            .to_h { |run| [run, "home_canned"] },
          %w[home dried] => "home_dried",
          %w[home - dried] => "home_dried",
          %w[dried at home] => "home_dried"
        }.freeze

        OURS = %w[leftover home_made home_canned home_dried].freeze
        PASSING = %w[frozen opened].freeze

        def initialize(line)
          @line = line
        end

        # "thawed from the freezer": where it was, not where it goes.
        def from_freezer
          at = @line.free_indexes.find { |index| @line.text(index) == "from" } or return
          run = @line.text(at + 1) == "the" ? [at, at + 1, at + 2] : [at, at + 1]
          @line.claim(:filler, run) if @line.text(run.last) == "freezer"
        end

        # Claims the words that say how it is: opened, frozen, left over, home-made.
        def read
          @line.tokens.each_index do |index|
            words, state =
              RUNS
                .select { |run, _| run.each_with_index.all? { |word, offset| @line.text(index + offset) == word } }
                .max_by { |run, _| run.size }
            next unless words

            # What a household made stays that, frozen or opened or not.
            @line.found[:state] = state if @line.found[:state].nil? ||
              (OURS.include?(state) && PASSING.include?(@line.found[:state]))
            @line.claim(:state, (index...(index + words.size)).to_a)
          end
          from_freezer if @line.found[:state] == "thawed" || @line.found[:thawed_on]
          @line.found[:state] ||= "frozen" if @line.free_indexes.any? { |index| @line.text(index) == "frozen" }
        end
      end
    end
  end
end
