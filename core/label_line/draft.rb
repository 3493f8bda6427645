# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module LabelLine
      # Something the reader is unsure of: which field, in plain words, and the likely answers as
      # [{text:, value:}]. Frozen.
      Question = Value.of(:field, :text, :answers)

      # What a line was understood to say. Frozen.
      #
      # `count` packs (Rational) of `amount` (Rational, base units; nil when no size is known) in `unit`
      # ("g", "ml", "piece", or the noun that was counted). `food` is a key, `label` the words for it.
      # `date` with `date_kind` ("best_before", "use_by", "packed", "made"); `opened_on`, `frozen_on`,
      # `thawed_on`; `place` a name; `price_minor` for the whole line; `state` ("opened", "frozen",
      # "leftover", "home_made", "home_canned", "home_dried", "unripe", "thawed"); `lot_text` the maker's lot. `spans`
      # gives [from, to] of each field; `unread` what was not understood, as it was typed: it is confirmed before the
      # line is stored. `notes` are sentences about what was taken for granted.
      Draft =
        Value.of(
          :count, :amount, :unit, :food, :label, :date, :date_kind, :opened_on, :frozen_on, :thawed_on, :place,
          :price_minor, :state, :lot_text, :questions, :unread, :notes, :spans
        )
    end
  end
end
