# frozen_string_literal: true

# What no cook would say. Held against every sentence that the core can say, and all that the demo's house shows.
module WrongSentences
  # Classes of wording that once went wrong. A sentence that matches is wrong.
  CLASSES = {
    "a plural for one" => /\b1 (?:days|months|weeks|pieces|packs|are|were)\b|\b1 day are\b|\b1 of them are\b/,
    "a singular for many" =>
      /\b(?:[2-9]|\d\d+) (?:day|month|week|piece) (?:is|was|are|were|in|left)\b|\b(?:[2-9]|\d\d+) days? (?:is|was)\b/,
    "where for where to" => /\bMoved (?:in|at) /,
    "years told in days" => /\b\d{3,4} to \d{3,4} days\b/,
    "a span of one" => /\b(\d+) to \1\b/,
    "words of the tables" =>
      /rules\.csv|class row|frozen_at_home|bought_sealed|left_over|cool_dark|use_by|best_before|stand_in|\bnil\b|_/,
    "a caution twice over" => /(two hours)(?!.*one above).*\1.*\1|When in doubt.*When in doubt/,
    "doubled words or points" => /\b(\w+) \1\b(?<!had had)|\.\.|,,| ,| \./,
    "an unfinished sentence" => /[^.!?)]\z/
  }.freeze

  module_function

  # @param said [Array<String>]
  # @return [Array<String>] what is wrong with which
  def faults(said)
    said.flat_map { |text| CLASSES.filter_map { |name, pattern| "#{name}: #{text}" if text.match?(pattern) } }.uniq
  end

  # @param answer [Object] JSON as a view makes it
  # @return [Array<String>] whole sentences in it, wherever they stand
  def sentences(answer)
    case answer
    when Hash
      answer.values.flat_map { |inner| sentences(inner) }
    when Array
      answer.flat_map { |inner| sentences(inner) }
    when String
      answer.match?(/\A[A-Z0-9].* .*[.!?]\z/m) ? [answer] : []
    else
      []
    end
  end
end
