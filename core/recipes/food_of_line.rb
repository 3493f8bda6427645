# frozen_string_literal: true

require_relative "../label_line/draft"
require_relative "../value"

module NutShelf
  module Core
    module Recipes
      # What is left of an ingredient line once its amount is read: which food, how it is prepared, what would do too.
      class FoodOfLine
        # `key` of the food or nil; `note` how it is prepared; `substitutes` for a recipe line. Frozen.
        Named = Value.of(:key, note: "", substitutes: {}.freeze, questions: [].freeze)

        # How a cook has it: no part of what it is.
        PREPARED =
          /\b(?:(?:very|finely|roughly|coarsely|thinly|thickly|freshly|lightly|well|cut|into|in)\s+)*
            (?:chopped|diced|sliced|minced|grated|crushed|melted|softened|peeled|cored|deseeded|seeded|stoned|pitted
              |drained|rinsed|washed|trimmed|halved|quartered|cubed|cubes|chunks|pieces|wedges|strips|rings|beaten
              |toasted|shredded|torn|crumbled|mashed|squeezed|scrubbed|divided|sifted|packed|cold|hot|warm|boiling
              |lukewarm|tepid|leftover|large|medium|small|heaped|thick|thin|fresh|ripe|good|quality
              |at\ room\ temperature|bone-in|skin-on|tops|leaves\ only)\b/xi
        OTHER = /\s+(?:or|oder|ou)\s+/i
        BOTH = /\s+(?:and|&)\s+/i
        BRACKETS = /\s*[(\[]([^()\[\]]*)[)\]]\s*/
        WATER = "bottled-water"
        TAP = "tap-water"

        # @param line_reader [LabelLine::Reader]
        # @param foods [Hash{String=>Food}]
        # @param today [Date]
        def initialize(line_reader, foods:, today:)
          @line_reader = line_reader
          @foods = foods
          @today = today
        end

        # @param text [String] without its amount
        # @param tinned [Boolean] whether it is counted in tins
        # @param dimension [Symbol, nil] what it is measured in: stock by the litre is no cube
        # @return [Named]
        def call(text, tinned: false, dimension: nil)
          @tinned = tinned
          @dimension = dimension
          notes = []
          bare = text.gsub(BRACKETS) { notes.push(Regexp.last_match(1).strip) && " " }
          name, *behind = bare.sub(/\A[\s,.:–-]*(?:of\s+)?/i, "").split(/\s*[,;]\s*|\s+[–—-]\s+/)
          name = name.to_s.strip
          return Named.new(key: nil, questions: [unknown(text)].freeze) if name.empty?

          if behind.any? && identify(name).first.nil?
            name = [name, *behind].join(" ")
            behind = []
          end
          name = "#{name} #{notes.first}" if notes.any? && identify(name).last.any? && sure("#{name} #{notes.first}")
          named(name, [*behind, *notes].reject(&:empty?).join(", "))
        end

        private

        def named(name, note)
          whole, asked = identify(name)
          first, *others = name.split(OTHER)
          return with_others(first, others, note) if others.any?

          pair = name.split(BOTH)
          return two(pair, note) if pair.size == 2 && two?(pair, whole)

          Named.new(key: whole, note: note, questions: asked.freeze)
        end

        # "butter or margarine": the second would do as well.
        def with_others(first, others, note)
          key, asked = identify(first)
          known = others.filter_map { |other| sure(other) }.-([key]).uniq
          note = [note, *others.map { |other| "or #{other}" }].reject(&:empty?).join(", ") if known.size < others.size
          Named.new(
            key: key, note: note, substitutes: key ? known.to_h { |other| [other, 1r] }.freeze : {}.freeze,
            questions: asked.freeze
          )
        end

        # No single food is called by both words, as macaroni cheese is.
        def two?(pair, whole)
          keys = pair.filter_map { |one| identify(one).first }.uniq
          keys.size == 2 && keys.include?(whole)
        end

        # "salt and pepper"
        def two(pair, note)
          keys = pair.map { |one| identify(one).first }
          question =
            LabelLine::Question.new(
              field: "food", text: "Two foods stand on this line. Put #{pair.last} on a line of its own?",
              answers: keys.map { |key| answer(key) }
            )
          Named.new(key: keys.first, note: note, questions: [question].freeze)
        end

        # @return [Array(String, Array<Question>)] food key or nil, and what is to be asked
        def identify(name)
          tries = [*("tinned #{name}" if @tinned), name, name.gsub(PREPARED, " ").squeeze(" ").strip]
          tries = tries.uniq.reject(&:empty?)
          drafts = tries.map { |one| @line_reader.read(one, today: @today) }
          best = drafts.find do |draft|
            draft.food && food_questions(draft).empty?
          end || drafts.find(&:food) || drafts.last
          return [nil, [unknown(name)]] unless best

          asked = food_questions(best)
          only = fitting(asked)
          return [only, []] if only

          asked = [unknown(name)] if best.food.nil? && asked.empty?
          [tap(best.food, name), asked]
        end

        # Of several foods the one that is poured, where it is poured; and the fresh one, where nobody speaks of a tin.
        def fitting(asked)
          return unless asked.size == 1

          foods = asked.first.answers.filter_map { |one| @foods[one[:value]] }
          poured = foods.select { |food| food.dimension == :volume } if @dimension == :volume
          fresh = foods.reject { |food| food.aisle == "Tins and cans" } unless @tinned
          [poured, fresh].compact.find { |kept| kept.size == 1 && foods.size > 1 && right?(kept.first) }&.first&.key
        end

        def right?(food) = @dimension == :volume || food.aisle.start_with?("Fresh ") || food.aisle == "Meat and fish"

        # Whether it is really that one is asked of a shelf; a recipe's words are a cook's own.
        def food_questions(draft)
          draft.questions.select do |question|
            question.field == "food" && question.answers.map { |one| one[:value] } != [draft.food]
          end
        end

        # Nobody cooks with water from a bottle unless the recipe says so.
        def tap(key, name)
          key == WATER && @foods.key?(TAP) && !name.match?(/bottle|mineral|sparkling|soda/i) ? TAP : key
        end

        def sure(name)
          key, asked = identify(name)
          key if asked.empty?
        end

        def unknown(name) = LabelLine::Question.new(field: "food", text: "Which food is #{name.strip}?", answers: [])

        def answer(key) = { text: @foods.fetch(key).name, value: key }
      end
    end
  end
end
