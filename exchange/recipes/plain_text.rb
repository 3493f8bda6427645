# frozen_string_literal: true

require_relative "words"
require_relative "../../core/recipes/cooking_time"
require_relative "../../core/recipes/figures"
require_relative "../../core/recipes/written"

module NutShelf
  module Exchange
    module Recipes
      # A recipe as somebody typed or pasted it: a name, facts, what goes in, what to do. Headings tell the parts where
      # there are any, else the look of a line does.
      class PlainText
        INGREDIENTS =
          /\A\W*(?:ingredients?|you(?:'|’)?ll need|you(?: will)? need|what you need|zutaten)\b[^.]{0,30}\z/i
        STEPS =
          /\A\W*(?:method|directions?|instructions?|steps?|preparation|how\ to\ (?:make|cook)[^.]*|what\ to\ do
            |zubereitung)\W*\z/xi
        NOTES = /\A\W*(?:notes?|tips?|hints?)\s*:?\s*(?<rest>.*)\z/i
        SERVES =
          /\A\W*(?:(?:serves|servings?|yields?|makes|portions?|for)\b\W*
                    (?<after>.*\d.*|.*\b(?:two|three|four|six|eight)\b.*)
                  |(?<before>\d+)\s+(?:servings?|portions?|people|persons))\W*\z/xi
        TIME = /\b(?<what>prep(?:aration)?|active|hands[- ]on|cook(?:ing)?|bak(?:e|ing)|total|ready in|takes|time)\b
                (?:\s*time)?\s*[:=-]?\s*(?<time>(?:\d|an? |half)[^|;,.]*?(?:min|hour|hr|h\b)[^|;,.]*)/xi
        BULLET = /\A\s*(?:[-*•·▢☐□–—]|\[[ x]?\])\s+/
        NUMBERED = /\A\s*(?:step\s*)?\d+\s*[.):]\s+(?=\D)/i
        AMOUNT_FIRST = /\A\s*(?:[\d½⅓⅔¼¾⅛]|(?:a|an|one|two|three|half|pinch|handful|juice|zest)\b)/i
        LONG = 90

        # @param text [String]
        # @return [Array<Core::Recipes::Written>] one
        def self.read(text) = [new(text).written]

        def initialize(text)
          @rows = Words.block(text).split("\n").map { |row| row.sub(/\A#+\s*/, "").gsub(/\A\*\*(.+)\*\*\z/, '\1') }
          @times = {}
          @lines = []
          @steps = []
          @notes = []
          @part = nil
        end

        # @return [Core::Recipes::Written]
        def written
          @name = quietly(@rows.shift.to_s.sub(/\A(?:title|recipe|name)\s*:\s*/i, ""))
          @headed = @rows.any? { |row| row.match?(INGREDIENTS) || row.match?(STEPS) }
          @rows.each { |row| sort(row) }
          Core::Recipes::Written.new(
            name: @name, servings: @servings, yields: @yields.to_s, lines: @lines.freeze, steps: @steps.freeze,
            total_minutes: total, active_minutes: @times[:active] || total, notes: @notes.join("\n")
          )
        end

        private

        # Nobody needs to be shouted at.
        def quietly(name) = name.match?(/\p{Ll}/) ? name : name.capitalize

        def total = @times[:total] || ([@times[:active], @times[:cook]].compact.sum if @times.any?)

        def sort(row)
          return if facts?(row)
          return @part = :lines if row.match?(INGREDIENTS)
          return @part = :steps if row.match?(STEPS)
          return noted(row) if row.match?(NOTES) && row.length < LONG * 3

          @part = guessed(row) unless @headed && @part
          { lines: @lines, steps: @steps, notes: @notes }.fetch(@part || :notes) << bare(row)
        end

        def noted(row)
          @part = :notes
          rest = row.match(NOTES)[:rest]
          @notes << rest unless rest.empty?
        end

        def bare(row)
          @part == :lines ? row.sub(BULLET, "") : row.sub(BULLET, "").sub(NUMBERED, "")
        end

        # Without headings: a short row that starts with a figure or a dash goes in, a sentence is a step.
        def guessed(row)
          return @headed ? :notes : :steps if row.match?(NUMBERED) && row.length > 25
          return :lines if row.length < LONG && !sentence?(row) && (row.match?(BULLET) || row.match?(AMOUNT_FIRST))
          return :notes if @headed || (@lines.empty? && @steps.empty?)

          sentence?(row) || @steps.any? ? :steps : :lines
        end

        def sentence?(row) = row.match?(/[a-z]\.\z/) || row.match?(/[a-z]\.\s+[A-Z]/)

        # "Serves 4", "Prep: 10 min | Cook: 1 hr": facts, wherever they stand before the steps.
        def facts?(row)
          return false if @part == :steps

          serves = row.split(/\s*[|;·]\s*/).map { |one| one.match(SERVES) }.compact.first
          times = row.to_enum(:scan, TIME).map { Regexp.last_match }
          note_serves(serves) if serves && !ingredient_like?(row)
          times.each { |one| note_time(one) }
          (serves && !ingredient_like?(row)) || (times.any? && row.length < LONG)
        end

        def ingredient_like?(row) = @part == :lines && !row.match?(/\A\W*(?:serves|servings|yields?|makes)/i)

        def note_serves(match)
          return if @servings

          @yields = match[0].strip
          @servings = Words.servings(match[:after] || match[:before])
        end

        KINDS = { /prep|active|hands/i => :active, /cook|bak/i => :cook }.freeze
        private_constant :KINDS

        def note_time(match)
          minutes = Core::Recipes::CookingTime.minutes(match[:time].strip) or return
          kind = KINDS.find { |pattern, _| match[:what].match?(pattern) }&.last || :total
          @times[kind] = minutes unless @times.key?(kind)
        end
      end
    end
  end
end
