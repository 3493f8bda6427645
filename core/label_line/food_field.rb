# frozen_string_literal: true

require_relative "date_field"
require_relative "doubt"
require_relative "home_made"
require_relative "stem"

module NutShelf
  module Core
    module LabelLine
      # Finds the food: the name that covers most words wins, then the one that ends the phrase ("apple
      # juice" is a juice), then what tin, place, size and state hint at. Namesakes that stay level are asked.
      class FoodField
        FILLERS = %w[
          of the a an in and with some from for to on by at my our more another x about approx ca new bought got plus
          add put away each ea all them batch lot qty quantity gone left
        ].freeze
        QUALIFIERS = %w[
          organic large small medium big mini smooth crunchy ripe chopped sliced whole canned dried frozen fresh mixed
          plain salted unsalted red green yellow black white brown free range light dark low fat reduced sugar
          unsweetened sweet raw cooked leftover homemade home made thick thin fine coarse strong mild smoked grated
          peeled drained diced family value bag natural own garden opened open half full vacuum chunky crushed
          shredded diced cubed sparkling still growing loose cold local spare old new baby extra virgin raspberry
          cherry apricot blackberry rhubarb blackcurrant peeled minced ground lean roast roasted emergency skinless
          boneless bnls kettle hand long life slow cooker gluten wholemeal wholewheat crusty cooking sachet vac
        ].freeze
        # Words that speak of dates are never a misspelt food ("best" is no beet).
        DATE_WORDS =
          DateField::KINDS.keys.flatten.grep(/\A[a-z]{3,}\z/).uniq.-(%w[frozen opened open cooked baked home]).freeze
        HINT_WORDS = {
          "canned" => "canned", "frozen" => "frozen", "dried" => "dried", "dry" => "dried", "fresh" => "fresh",
          "leftover" => "leftover", "raw" => "raw", "uht" => "longlife"
        }.freeze

        # Nobody freezes what comes for the shelf.
        ON_THE_SHELF = {
          "Tins and cans" => -3, "Jars and sauces" => -3, "Dried and trail foods" => -3,
          "Long-life dairy and plant drinks" => -3
        }.freeze

        # A shorter word that nearly is another is asked about, not corrected: "yest" is no yeast.
        SURE_LENGTH = 6

        # @param today [Date]
        def initialize(line, lexicon, today:)
          @line = line
          @lexicon = lexicon
          @today = today
          @guesses = []
        end

        # Claims the words that name the food, and asks where they do not settle it.
        def read
          @words = @line.free_indexes.select { |index| @line[index].word? }.to_h { |index| [index, stems_of(index)] }
          best = ranked
          best = without_medium(best)
          best.empty? ? unknown : settle(best)
          leave_rest
        end

        private

        def stems_of(index)
          stem = Stem.of(without_article(@line.text(index)))
          return [] if DATE_WORDS.include?(@line.text(index))
          if @lexicon.word?(stem) || FILLERS.include?(stem) || QUALIFIERS.include?(stem) || HINT_WORDS.key?(stem)
            return [stem]
          end

          near = @lexicon.nearest(stem)
          return halves(stem) if near.empty?
          return near if @line.text(index).length >= SURE_LENGTH && !@lexicon.another_tongue?(@line.text(index))

          @guesses.concat(near)
          []
        end

        # "d'oranges" are oranges, unless a food is called so ("jus d'orange").
        def without_article(word)
          bare = word[/\A[dl]['’](\p{L}{3,})\z/, 1]
          bare && !@lexicon.word?(Stem.of(word)) && @lexicon.word?(Stem.of(bare)) ? bare : word
        end

        # "oatmilk": two known words written as one.
        def halves(stem)
          (3..(stem.length - 3)).each do |at|
            parts = [stem[0...at], stem[at..]].map { |part| Stem.of(part) }
            return parts if parts.all? { |part| @lexicon.word?(part) }
          end
          []
        end

        # @return [Array<Array(score, Phrase)>] best first
        def ranked
          present = @words.values.flatten.uniq
          present |= ["canned"] if @line.hints.include?(:tin)
          present |= ["loaf"] if @line.hints.include?(:loaf)
          candidates =
            present.flat_map { |stem| @lexicon.phrases(stem) }.uniq.select { |phrase| (phrase.stems - present).empty? }
          candidates = candidates.select { |phrase| from_home?(phrase) } if candidates.any? do |phrase|
            from_home?(phrase)
          end
          scored = candidates.map { |phrase| [cover(phrase), phrase] }
          top = scored.map(&:first).max
          scored
            .select { |score, _| score == top }
            .map { |_, phrase| [fitness(phrase), phrase] }
            .sort_by
            .with_index { |(score, _), index| [-score, index] }
        end

        # What was left over or made at home is of its own kind, however well the shop's name fits.
        def from_home?(phrase)
          (%w[leftover home_made home_canned].include?(phrase.hint) && hints.include?(phrase.hint)) ||
            (left_over? && @lexicon.foods.fetch(phrase.food).aisle == "Home leftovers")
        end

        # "Tuna in olive oil" is tuna: what stands behind "in" is what it lies in, unless one name covers both.
        def without_medium(best)
          at = @line.free_indexes.find { |index| @line.text(index) == "in" } or return best
          before, after = @words.keys.partition { |index| index < at }
          return best if best.empty? || before.all? { |index| @words[index].empty? }

          @medium = after
          return best if covered(best.first.last).any? { |index| before.include?(index) }

          kept = @words
          @words = kept.slice(*before)
          shorter = ranked
          @medium = [] if shorter.empty?
          @words = kept if shorter.empty?
          shorter.empty? ? best : shorter
        end

        # How many of the line's words a name covers, then how far to the right it ends, then whether it stands whole.
        def cover(phrase)
          indexes = covered(phrase)
          said = (phrase.stems & @words.values.flatten).size
          [said + (phrase.own ? 1 : 0), head_at(indexes), together?(indexes) ? 1 : 0]
        end

        # Where a name ends: the last one is what it is ("apple juice"), but in "jam of strawberries" the one before
        # "of".
        def head_at(indexes)
          last = indexes.max or return -1
          of_something?(last) ? @line.tokens.size + last : last
        end

        def of_something?(last)
          behind = last + 1
          @line.text(behind) == "of" &&
            @words[((behind + 1)..(behind + 2)).find { |at| @words.fetch(at, []).any? }].to_a.any? do |stem|
              @lexicon.word?(stem)
            end
        end

        def together?(indexes) = indexes.size < 2 || indexes.max - indexes.min == indexes.size - 1

        def covered(phrase) = @words.select { |_, stems| stems.intersect?(phrase.stems) }.keys

        def fitness(phrase)
          food = @lexicon.foods.fetch(phrase.food)
          (phrase.usual ? 1 : 0) + hint_score(phrase) + size_score(food) + place_score(phrase, food) +
            bag_score(phrase, food)
        end

        def hint_score(phrase)
          return -5 if @lexicon.foods.fetch(phrase.food).aisle == "Home leftovers" && !left_over?
          return hints.include?("leftover") ? -3 : 0 unless phrase.hint
          return 8 if hints.include?(phrase.hint)

          %w[leftover home_made home_canned].include?(phrase.hint) ? -20 : 0
        end

        def hints
          @hints ||= [
            *@words.values.flatten.filter_map { |stem| HINT_WORDS[stem] },
            *(@line.hints.include?(:tin) ? ["canned"] : []),
            *(left_over? ? ["leftover"] : []),
            *(%w[frozen home_made home_canned].include?(@line.found[:state]) ? [@line.found[:state]] : []),
            *(%w[home_canned home_dried].include?(@line.found[:state]) ? ["home_made"] : [])
          ]
        end

        def left_over?
          @line.found[:state] == "leftover" || @line.found[:date_kind] == "made" || @line.hints.include?(:portion)
        end

        # What comes dry or wet comes dry in a bag and wet in a tin or a pouch.
        def bag_score(phrase, food)
          return 0 unless %w[Pet].include?(food.aisle) || food.aisle == "Dried pulses"
          return phrase.hint == "dried" ? 3 : 0 if %i[bag sack].intersect?(@line.hints)

          phrase.hint == "canned" && @line.hints.include?(:pouch) ? 3 : 0
        end

        def size_score(food)
          size = @line.found[:size]
          return food.dimension == :count && @line.found[:noun].nil? && @line.found[:count_said] ? 2 : 0 unless size

          food.typical_packs.include?(size) ? 2 : 0
        end

        def place_score(phrase, food)
          case kind_of_place || (@line.found[:state] == "frozen" ? "freezer" : nil)
          when "freezer"
            { "Frozen" => 3, **ON_THE_SHELF }.fetch(food.aisle, 0)
          when "fridge"
            { "fresh" => 3, "longlife" => -3 }.fetch(phrase.hint, 0)
          when "cupboard", "cool_dark"
            phrase.hint == "longlife" ? 3 : 0
          else
            phrase.hint == "longlife" ? -3 : 0
          end
        end

        def kind_of_place = @lexicon.places.find { |place| place.name == @line.found[:place] }&.kind

        def settle(best)
          score, phrase = best.first
          level = best.select { |other, _| other == score }.map { |_, name| name.food }.uniq
          @line.found[:food] = phrase.food
          @head = covered(phrase)
          @line.claim(:food, [*@head, *@medium])
          return @line.ask(:food, "Which one is it?", level.first(4).map { |key| answer(key) }) if level.size > 1

          return if HomeMade::CLASSES.key?(@line.found[:state])

          doubt = Doubt.new(@line, @lexicon, words: @words, phrase: phrase, head: [*@head, *@medium], today: @today)
          @line.ask(:food, doubt.question, doubt.answers.map { |key| answer(key) }) if doubt.any?
        end

        def answer(key) = { text: @lexicon.foods.fetch(key).name, value: key }

        def unknown
          likely =
            [*@words.values.flatten, *@guesses].flat_map { |stem| @lexicon.phrases(stem) }.map(&:food).uniq.first(4)
          @head = []
          @line.ask(:food, another_tongue || "Which food is it?", likely.map { |key| answer(key) })
        end

        # Never guessed across languages.
        def another_tongue
          index = @words.keys.find { |at| @lexicon.another_tongue?(@line.text(at)) } or return
          "The line reads your household's languages, and #{@line.original(index)} is of another: which food is it?"
        end

        # Words that only describe the food stay with its label; the rest was not understood.
        def leave_rest
          label = @head.dup
          @line.free_indexes.each do |index|
            next unless @line[index].word?
            next @line.claim(:filler, [index]) if FILLERS.include?(@line.text(index)) || where_from?(index)

            label << index if describes?(index)
          end
          @line.claim(:food, label)
          @line.found[:label] = label.sort.map { |index| @line.original(index) }.join(" ") unless label.empty?
        end

        # "spuds from the market": where it came from is no part of what it is.
        def where_from?(index)
          before = @line.tokens[[index - 2, 0].max...index].map(&:text)
          before.last == "from" || before == %w[from the]
        end

        def describes?(index)
          return false if @head.empty?

          stem = Stem.of(@line.text(index))
          if %w[and + & plus].include?(@line.tokens[index - 1]&.text) && index.positive? && index > @head.max
            return false
          end

          QUALIFIERS.include?(stem) || @lexicon.word?(stem)
        end
      end
    end
  end
end
