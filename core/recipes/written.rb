# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Recipes
      # What is wrong with a recipe somebody wrote: where in it, what, and how to mend it. Frozen.
      Problem = Value.of(:at, :text)

      # A recipe as somebody wrote it down: its lines are words still. `lines` are what goes in, headings among them;
      # `meal` and `gear` nil where it says nothing of them; `yields` as it stood there ("4 servings"). Frozen.
      Written =
        Value.of(
          :name, :servings, :total_minutes, :active_minutes, lines: [].freeze, steps: [].freeze, problems: [].freeze,
          meal: nil, gear: nil, tags: [].freeze, notes: "", source: "", yields: "", leftover_days: nil, freezes: nil
        )
    end
  end
end
