# frozen_string_literal: true

require_relative "../reference/catalog"
require_relative "words"
require_relative "../value"

module NutShelf
  module Core
    # Whether a household's own keeping time would answer a question that the guide answers for safety. One row serves
    # many questions (an opened bag asks for the row of the whole), so every question is put with and without it.
    module OwnTime
      SITUATIONS = %w[
        bought_sealed opened cut cooked left_over portioned ground home_canned home_dried ripening ripe frozen_at_home
        bought_frozen thawed
      ].freeze
      PLACES = %w[cupboard cool_dark fridge freezer].freeze

      # What stands against it. `words` a sentence, `limit` the most days that may be said, nil where none may. Frozen.
      Breach = Value.of(:words, :limit)

      module_function

      # @param catalog [Catalog] as shipped
      # @param food [Food]
      # @param row [KeepingRow] the household's own
      # @return [Breach, nil]
      def breach(catalog, food, row)
        own = catalog.with_own({ [row.scope, row.place, row.state, *row.storage] => row })
        found =
          SITUATIONS.product(PLACES).filter_map { |situation, place| at(catalog, own, food, row, situation, place) }
        found.find { |one| one.limit.nil? } || found.min_by(&:limit)
      end

      # @return [Breach, nil] what stands against an own time in one place and state, nil where nothing does
      def at(catalog, own, food, row, situation, place)
        return unless own.keeping(food, situation, place, row.storage).row == row

        before = catalog.keeping(food, situation, place, row.storage)
        return refused(before, situation, place) unless before.row?
        return if before.row.kind != :safety || row.high <= before.row.high

        Breach.new(
          words:
            "#{Words.situation(situation).capitalize} #{Words.where(place)}, #{before.row.span_words}, is a matter " \
            "of safety. An own time may be shorter, never longer.",
          limit: before.row.high
        )
      end

      # @return [Breach, nil] where the guide gives no figure for safety
      def refused(answer, situation, place)
        return unless answer.outcome == :unsafe

        Breach.new(
          words:
            "#{answer.reason.to_s.chomp(".")} (#{Words.situation(situation)} #{Words.where(place)}). That is a " \
            "matter of safety, so there is no own time for it.",
          limit: nil
        )
      end
    end
  end
end
