# frozen_string_literal: true

require_relative "token"

module NutShelf
  module Core
    module LabelLine
      # Other languages a household writes in: runs of words that mean an English word of the line. What is part of a
      # place's own name is left alone. Frozen.
      class Tongue
        # @param words [Hash{String=>String}] run of words, lower case, to what it means
        # @param kept [Array<String>] words that are left as they are
        # @param names [Array<String>] names of several words (of foods), which are left as they are wherever they stand
        #   whole
        def initialize(words = {}, kept: [], names: [])
          @names =
            names
              .map { |name| Tokens.cut(name).select(&:word?).map(&:text) }
              .select { |run| run.size > 1 }
              .uniq
              .group_by(&:first)
              .transform_values { |list| list.sort_by { |run| -run.size } }
          @runs =
            words
              .except(*kept)
              .to_h { |run, means| [run.split, means.split] }
              .group_by { |run, _| run.first }
              .transform_values { |list| list.sort_by { |run, _| -run.size } }
          freeze
        end

        # @param tokens [Array<Token>]
        # @return [Array<Token>] the same line in English, each token where it was typed
        def translate(tokens)
          read = []
          at = 0
          while at < tokens.size
            if (name = named(tokens, at))
              read.concat(tokens[at, name])
              at += name
              next
            end
            run, means = meant(tokens, at)
            read.concat(run ? said(tokens[at, run.size], means) : [tokens[at]])
            at += run ? run.size : 1
          end
          read
        end

        private

        # How many tokens a name takes that stands here, hyphens between its words included; nil where none does.
        def named(tokens, at)
          @names.fetch(tokens[at].text, []).each do |run|
            index = at
            matched =
              run.all? do |word|
                index += 1 while index > at && tokens[index]&.text == "-"
                tokens[index]&.text == word && (index += 1)
              end
            return index - at if matched
          end
          nil
        end

        def meant(tokens, at)
          @runs
            .fetch(tokens[at].text, [])
            .find { |run, _| run.each_with_index.all? { |word, offset| tokens[at + offset]&.text == word } }
        end

        # As many tokens as it means words; the last stands for all that was typed beyond.
        def said(typed, means)
          means.each_with_index.map do |word, index|
            from = typed[[index, typed.size - 1].min].from
            to = index == means.size - 1 ? typed.last.to : typed[[index, typed.size - 1].min].to
            Token.new(text: word, kind: :word, from: from, to: to)
          end
        end
      end
    end
  end
end
