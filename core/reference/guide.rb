# frozen_string_literal: true

require_relative "catalog"
require_relative "../dating/words"
require_relative "../value"

module NutShelf
  module Core
    # How to keep one food, as a page: each situation in each place, by the household's school; ways of storing
    # compared; signs and cautions. Everything comes from the keeping tables by the same look-up as the dates do.
    class Guide
      PLACES = %w[cupboard cool_dark fridge freezer].freeze
      SITUATIONS = %w[bought_sealed opened cut cooked ripening ripe frozen_at_home bought_frozen thawed].freeze

      # Where a situation makes sense at all.
      ONLY = { "frozen_at_home" => %w[freezer], "bought_frozen" => %w[freezer], "thawed" => %w[fridge] }.freeze
      # Loose produce is not opened, rice is not cut: without a figure of its own such a row only repeats another.
      OWN_STATE = {
        "opened" => "opened", "cut" => "cut", "cooked" => "cooked", "ripening" => "unripe", "ripe" => "ripe"
      }.freeze
      # What the tables say of one place: the `row` (KeepingRow) and its `days`, or a `reason` why there is none, with
      # the outcome of the look-up. Frozen.
      Cell = Value.of(:row, :days, :outcome, reason: "")
      # One situation, its cells by place. Frozen.
      Line = Value.of(:situation, :places)
      NOTHING = Cell.new(outcome: :not_applicable)

      # @param catalog [Catalog]
      # @param food [Food]
      # @param policy [Policy]
      def initialize(catalog, food, policy)
        @catalog = catalog
        @food = food
        @policy = policy
      end

      # @return [Array<Line>] situations that have no row anywhere are left out
      def table
        SITUATIONS.filter_map do |situation|
          cells =
            PLACES.to_h do |place|
              [place, ONLY.fetch(situation, PLACES).include?(place) ? cell(situation, place) : NOTHING]
            end
          next unless cells.values.any? { |one| one.row && own?(situation, one.row) }

          Line.new(situation: situation, places: cells.freeze)
        end
      end

      # Ways of storing side by side, the longest first.
      # @return [Array<KeepingRow>]
      def methods_compared
        @catalog.rows_of(@food).select(&:storage).sort_by { |row| [row.place, row.state, -row.high] }
      end

      # @return [Array<String>] when not to eat it any more
      def signs
        rows.flat_map { |row| row.signs_to_discard.to_s.split(/, (?=[A-Z])|;/).map(&:strip) }.reject(&:empty?).uniq
      end

      # @return [Array<String>] what the tables warn of, each once
      def cautions = [*rows.map { |row| row.caution.to_s }, @food.vulnerable_avoid.to_s].reject(&:empty?).uniq

      # @return [Array<Hash>] :every_days and :text
      def care
        rows
          .select(&:care_every_days)
          .map { |row| { every_days: row.care_every_days, text: row.care_text, place: row.place, state: row.state } }
          .uniq
      end

      # @return [Array<Hash>] :process, :what and :about; of freezing only where it is for the freezer
      def losses
        known = @catalog.losses.fetch(@food.food_group, [])
        @food.freezes == "no" ? known.reject { |row| row[:process] == "freezing" } : known
      end

      # How what is only limp becomes crisp again. It speaks of quality alone: slime, mould and smell stay what they
      # are.
      # @return [String, nil]
      def revival
        known = @catalog.revivals[@food.key] or return
        "#{known[:how]}, for #{Words.minutes(known[:minutes])}. Then look at it: what is firm again is as good as it " \
          "was; what is slimy, mouldy or smells is not made good by water."
      end

      private

      def rows = @rows ||= table.flat_map { |line| line.places.values.filter_map(&:row) }.uniq

      # Cooked rice answers by another food's row, which is as good as its own.
      def own?(situation, row)
        return @food.aisle == "Frozen" if situation == "bought_frozen"
        return @food.aisle != "Frozen" if situation == "frozen_at_home"

        OWN_STATE.fetch(situation, row.state) == row.state || situation == "cooked"
      end

      def cell(situation, place)
        answer = @catalog.keeping(@food, situation, place)
        return Cell.new(reason: answer.reason, outcome: answer.outcome) unless answer.row?
        return thawed(answer.row) if situation == "thawed"

        Cell.new(row: answer.row, days: answer.row.days(@policy.school))
      end

      # Thawed food counts by the after-thaw figure of its freezer row.
      def thawed(row)
        if row.after_thaw_days
          Cell.new(row: days_thawed(row), days: row.after_thaw_days)
        else
          Cell.new(reason: "No figure once thawed.", outcome: :no_figure)
        end
      end

      # In the fridge after thawing; what the freezer row advises for freezing is no advice any more.
      def days_thawed(row)
        KeepingRow.new(
          **row.to_h,
          low: row.after_thaw_days,
          high: row.after_thaw_days,
          place: "fridge",
          method: "Thaw it in the fridge, on a tray"
        )
      end
    end
  end
end
