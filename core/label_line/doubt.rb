# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # Whether the food that was found leaves out a word that makes it another food: "smoked" of a mackerel, "dried" of
      # beans, "apple" of butter, or a second food behind "and". Asked about, never passed over.
      class Doubt
        # Words that turn a food into another one.
        TURNS = %w[
          smoked dried dehydrated canned pickled powdered powder instant flake puree candied baby condensed evaporated
          freeze fried sauce curd pie cake jelly doughnut
        ].freeze
        DRIED = [
          "Dried pulses", "Dried fruit, nuts and seeds", "Dried and trail foods", "Herbs and spices",
          "Grains and pasta", "Baking"
        ].freeze
        TINNED = ["Tins and cans", "Jars and sauces", "Long-life dairy and plant drinks", "Pet"].freeze
        IN_THE_COLD = ["Meat and fish", "Dairy and eggs", "Fresh fruit", "Fresh vegetables", "Frozen", "Bread"].freeze
        # Foods that come in flavours: the flavour is no second food.
        FLAVOURED =
          /jam|chutney|marmalade|curd|yoghurt|ice-cream|tea|cordial|crisps|chips|bars|muesli|granola|cereal|soup|
           noodles|hummus|cream-cheese|chocolate|biscuit|cracker|cooked|home|sauce|pesto|
           passata|salsa|puree|cola|lemonade|drink|juice|meal|pizza|food-|stock|vinegar|spread|cider|pancake|broth|pie/x
        # What carries a use-by is printed no further ahead than so many days.
        FRESH_DAYS = 75
        TOGETHER = %w[and + & plus].freeze

        # @param words [Hash{Integer=>Array<String>}] stems of the words that could name a food, by where they stand
        # @param phrase [Phrase] the name that was taken
        # @param head [Array<Integer>] where it stands
        # @param today [Date]
        def initialize(line, lexicon, words:, phrase:, head:, today:)
          @today = today
          @line = line
          @lexicon = lexicon
          @words = words
          @phrase = phrase
          @head = head
          @food = lexicon.foods.fetch(phrase.food)
        end

        # @return [Boolean] whether the food must be asked for
        def any?
          !turned.nil? || others.any? || no_tin? || frozen_tin? || ahead_of_unknown? || strange.any? || too_far?
        end

        # @return [String]
        def question
          return "That reads as two foods. Which one is on this line?" if together?
          return "No tin goes into the freezer. What was frozen?" if frozen_tin?
          return "#{@food.name} is not good for that long. Which food is it?" if too_far?
          if no_tin?
            return "#{@food.name} does not come in #{@line.hints.include?(:tin) ? "tins" : "jars"}. Which food is it?"
          end

          "#{@line.between(*said.minmax)}: which food is that?"
        end

        # @return [Array<String>] food keys, the likeliest first
        def answers
          list =
            if together?
              [*others, @phrase.food]
            else
              [
                *(tinned if no_tin?),
                *(home_made if frozen_tin?),
                *(lasting if too_far?),
                *namesakes,
                @phrase.food,
                *others
              ]
            end
          list.uniq.first(4)
        end

        private

        # Words that belong to some food's name but to none of this one's, and describe nothing: "lamp" of oil.
        def strange
          @strange ||=
            left_over.select do |index, stems|
              !flavour?(index) &&
                stems.none? do |stem|
                  FoodField::QUALIFIERS.include?(stem) || FoodField::FILLERS.include?(stem) || own_words.include?(stem)
                end
            end
        end

        def own_words = @own_words ||= @lexicon.words_of(@phrase.food)

        def frozen_tin? = @line.found[:state] == "frozen" && @food.aisle == "Tins and cans"

        # No fresh milk is good until March: then it is the kind that keeps.
        def too_far?
          day = @line.found[:date]
          !day.nil? && @food.date_kind_usual == "use_by" && @line.found[:state] != "frozen" && day > @today + FRESH_DAYS
        end

        def lasting
          @phrase
            .stems
            .flat_map { |stem| @lexicon.phrases(stem) }
            .select { |phrase| phrase.hint == "longlife" || phrase.stems.include?("uht") }
            .map(&:food)
            .uniq
        end

        def home_made
          @phrase
            .stems
            .reverse
            .flat_map { |stem| @lexicon.phrases(stem) }
            .map(&:food)
            .uniq
            .select { |key| ["Home leftovers", "Frozen"].include?(@lexicon.foods.fetch(key).aisle) }
        end

        def said = [*@head, *left_over.keys, *(turned ? [turned] : []), *unknown_behind]

        def left_over
          @left_over ||=
            @words.reject { |index, stems| @head.include?(index) || stems.empty? || stems.intersect?(@phrase.stems) }
        end

        # Where a word stands that turns the food into another, or nil.
        def turned
          @turned ||= left_over.find { |_, stems| stems.any? { |stem| TURNS.include?(stem) && !fits?(stem) } }&.first
        end

        def fits?(turn)
          case turn
          when "canned"
            TINNED.include?(@food.aisle) || @phrase.hint == "canned"
          when "dried", "dehydrated"
            DRIED.include?(@food.aisle) || @phrase.hint == "dried" || named?("dried")
          else
            named?(turn)
          end
        end

        def named?(word) = @food.name.downcase.include?(word) || @food.key.include?(word)

        # "jam doughnuts": the food may only say what kind of something unknown it is.
        def ahead_of_unknown? = !unknown_behind.nil?

        def unknown_behind
          at = @head.max + 1
          token = @line[at]
          at if token&.word? && token.text.length > 2 && @words[at] == [] && !FoodField::DATE_WORDS.include?(token.text)
        end

        # What lives in the cold is in no tin, and what grows in no jar: then it is the tinned food of that name.
        def no_tin?
          (@line.hints.include?(:tin) && IN_THE_COLD.include?(@food.aisle)) ||
            (@line.hints.include?(:jar) && ["Fresh fruit", "Fresh vegetables"].include?(@food.aisle))
        end

        def tinned
          @words
            .values
            .flatten
            .flat_map { |stem| @lexicon.phrases(stem) }
            .map(&:food)
            .uniq
            .select { |key| TINNED.include?(@lexicon.foods.fetch(key).aisle) }
        end

        # Foods that a word left over names all by itself.
        def others
          @others ||= single_foods.reject { |index, _| flavour?(index) }.flat_map(&:last).uniq - [@phrase.food]
        end

        def single_foods
          left_over.filter_map do |index, stems|
            keys =
              stems.flat_map { |stem| @lexicon.phrases(stem).select { |phrase| phrase.stems == [stem] }.map(&:food) }
            [index, keys] if keys.any? && !keys.include?(@phrase.food) && !FoodField::QUALIFIERS.include?(stems.first)
          end
        end

        def flavour?(index) = !apart?(index) && @food.key.match?(FLAVOURED)

        # Whether "and" stands between that word and the food.
        def apart?(index)
          low, high = [index, @head.min].minmax
          (low..high).any? { |at| TOGETHER.include?(@line.tokens[at].text) }
        end

        def together? = single_foods.any? { |index, keys| apart?(index) && (keys - [@phrase.food]).any? }

        # Foods whose names hold the words that were left over along with the one that was taken.
        def namesakes
          turn = turned && @words[turned].find { |stem| TURNS.include?(stem) }
          @phrase
            .stems
            .flat_map { |stem| @lexicon.phrases(stem) }
            .select do |phrase|
              if turn.nil?
                phrase.stems.intersect?(left_over.values.flatten)
              else
                phrase.stems.include?(turn) || phrase.hint == turn
              end
            end
            .map(&:food)
            .uniq
        end
      end
    end
  end
end
