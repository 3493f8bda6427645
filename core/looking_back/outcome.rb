# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # How some of a food left the house. `kind`: one of KINDS; `why` in a word where somebody said; `grams` nil where
    # nothing says what it weighed; `value_minor` never below zero; `days_left` and `looked` as its stack stood on that
    # day (AsItWas). `kit_id`: the kit it was kept for before, nil for none. `pack`: size it came in, nil for loose.
    # `movement_id` of the ledger. Frozen.
    Outcome =
      Value.of(
        :on, :kind, :food_id, :group, :place_id, :shop_id, :account_id, :pack, :grams, :value_minor, :days_left,
        :movement_id, :act_id, :lot_id, why: "", kit_id: nil, looked: false, estimated: false, open: false
      ) do
        # @return [Boolean]
        def wasted? = self.class::WASTED.include?(kind)

        # Eaten in its last seven days, or when nothing but a good look carried it past its date.
        # @return [Boolean]
        def rescued? = kind == "eaten" && (looked || days_left&.between?(0, self.class::LAST_DAYS - 1)) ? true : false
      end

    class Outcome
      KINDS = %w[eaten given_away animals composted binned lost].freeze
      # Waste rate: these by value, of all that left (computation.md 10).
      WASTED = %w[composted binned].freeze
      LAST_DAYS = 7
    end
  end
end
