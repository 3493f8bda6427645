# frozen_string_literal: true

require_relative "token"
require_relative "draft"

module NutShelf
  module Core
    module LabelLine
      # A line while it is being read: its tokens, which of them a field has claimed, and what was found.
      class Line
        attr_reader :tokens, :found, :questions, :spans, :hints, :notes

        # @param text [String]
        # @param tongue [Tongue, nil] other languages it may be written in
        def initialize(text, tongue = nil)
          @text = text
          @tokens = Tokens.cut(text)
          @tokens = tongue.translate(@tokens) if tongue
          @claimed = Array.new(@tokens.size)
          @found = {}
          @questions = []
          @spans = {}
          @hints = []
          @notes = []
        end

        # @return [Boolean] whether there is a token that nothing has claimed
        def free?(index) = index >= 0 && index < tokens.size && @claimed[index].nil?

        # A free token, or nil.
        def [](index) = free?(index) ? tokens[index] : nil

        # The text of a free token, or nil.
        def text(index) = self[index]&.text

        # @return [Symbol, nil] the field that claimed a token
        def claimed_by(index) = @claimed[index]

        # Marks tokens as belonging to a field and widens that field's span.
        def claim(field, indexes)
          indexes.each { |index| @claimed[index] ||= field }
          widen(field, indexes)
        end

        # Notes what a field says, and claims the tokens it said it with.
        def set(field, value, indexes)
          found[field] = value
          claim(field, indexes)
        end

        # Notes a question to whoever typed the line.
        def ask(field, text, answers)
          questions << Question.new(field: field.to_s, text: text, answers: answers)
        end

        # @return [Array<Integer>] tokens that nothing has claimed
        def free_indexes = tokens.each_index.select { |index| free?(index) }

        # @return [String] a token as it was typed
        def original(index) = between(index, index)

        # The text as it was typed from one token to another.
        def between(first, last) = @text[tokens[first].from...tokens[last].to]

        # Claims the tokens that lie within a stretch of the text.
        def claim_text(field, from, to)
          claim(
            field,
            tokens.each_index.select { |index| tokens[index].from >= from && tokens[index].to <= to && free?(index) }
          )
        end

        # @return [String] the whole line as it was typed
        def typed = @text

        private

        def widen(field, indexes)
          return if indexes.empty?

          from = tokens[indexes.min].from
          to = tokens[indexes.max].to
          known = spans[field] || [from, to]
          spans[field] = [[known[0], from].min, [known[1], to].max]
        end
      end
    end
  end
end
