# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Missing here and found there is a move. Pairs what a count found without expecting it with stacks that are
    # missing somewhere else, or that should stand elsewhere.
    module Match
      # A stack that may have been carried: `missing` in base units is what its own place lacks (0 when nobody
      # counted it there), `on_hand` what it still has by the ledger. Frozen.
      Candidate = Value.of(:id, :food_id, :dimension, :pack_amount, :noun, :printed_on, :missing, :on_hand)

      # What was found, `amount` in base units. Frozen.
      Found = Value.of(:food_id, :dimension, :pack_amount, :noun, :printed_on, :amount)

      module_function

      # @param found [Found]
      # @param candidates [Array<Candidate>]
      # @return [Array<Candidate>] likeliest first: missing there before merely standing there, the same date before
      #   one that was not read, and just as much before more
      def for(found, candidates)
        fitting = candidates.select { |candidate| fits?(found, candidate) }
        fitting.sort_by do |one|
          [one.missing.positive? ? 0 : 1, same_date?(found, one) ? 0 : 1, (one.missing - found.amount).abs, one.id]
        end
      end

      # @return [Boolean] whether they could be the same thing: food, way of counting, pack, date, and enough of it
      def fits?(found, candidate)
        alike = %i[food_id dimension pack_amount noun]
        return false unless found.slice(*alike) == candidate.slice(*alike)
        return false if found.printed_on && candidate.printed_on && found.printed_on != candidate.printed_on

        [candidate.missing, candidate.on_hand].max >= found.amount
      end

      # @return [Boolean] whether both say the same printed date
      def same_date?(found, candidate) = !found.printed_on.nil? && found.printed_on == candidate.printed_on
    end
  end
end
