# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # Reads the maker's lot: behind a word that says so, or as it is printed, an L and a run of digits. Read before
      # all else, so that its digits are no count and no date.
      class LotField
        NAMED =
          %r{(?<![\p{L}\d])(?:lot|batch|charge|lote)(?:\s*(?:no\.?|nr\.?|number))?\s*[:\#]?\s*
             (?<code>[A-Za-z]{0,4}\d[A-Za-z\d\-/]{1,24})(?![\p{L}\d])}xi
        PRINTED = /(?<![\p{L}\d])(?<code>L:?\s?\d{3,}[A-Za-z\d-]*)(?![\p{L}\d])/

        def initialize(line) = @line = line

        # Claims the maker's lot, where one is named.
        def read
          match = NAMED.match(@line.typed) || PRINTED.match(@line.typed) or return
          @line.found[:lot_text] = match[:code].strip
          @line.claim_text(:lot, match.begin(0), match.end(0))
        end
      end
    end
  end
end
