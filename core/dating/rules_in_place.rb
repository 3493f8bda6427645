# frozen_string_literal: true

require_relative "story"

module NutShelf
  module Core
    # The keeping rules of one food, asked for a place: what row is in force, and what it means when
    # there is none there (the two-hour rule, or merely the wrong place).
    class RulesInPlace
      COLDER = { "cupboard" => %w[cool_dark fridge], "cool_dark" => %w[fridge], "fridge" => [], "freezer" => [] }.freeze
      SEALED = %w[bought_sealed bought_frozen home_canned ripening].freeze
      # A sealed home-bottled jar is no worse off in the cold: its own row counts there too.
      OWN_ROWS = { %w[home_canned fridge] => "cool_dark" }.freeze

      # @param storage [String, nil] how the food is stored, see KeepingRow::STORAGE
      def initialize(catalog, policy, food, storage = nil)
        @catalog = catalog
        @policy = policy
        @food = food
        @storage = storage
        @answers = {}
      end

      # @return [RulesInPlace] the same for another way of storing
      def stored(storage) = self.class.new(@catalog, @policy, @food, storage)

      # @return [Standing] a fridge of nobody in particular
      def fridge = Standing.new(name: "the fridge", kind: "fridge")

      # @return [Standing] a freezer of nobody in particular
      def freezer = Standing.new(name: "the freezer", kind: "freezer")

      # @return [KeepingRow, nil]
      def row(situation, place) = answer(situation, place).row

      # @return [String] why there is no row
      def reason(situation, place)
        reason = answer(situation, place).reason.to_s.strip
        reason.end_with?(".") ? reason : "#{reason}."
      end

      # @return [Integer] days by the household's school
      def days(row) = row.days(@policy.school)

      # @return [KeepingRow, nil] the row of the next colder place that has one
      def colder_row(situation, place)
        COLDER.fetch(place.kind).each do |kind|
          row = row(situation, Standing.new(name: kind, kind: kind))
          return row if row
        end
        nil
      end

      # @return [KeepingRow, nil] the row of the fridge, for what belongs there and keeps longer there than in this
      #   place
      def longer_in_the_fridge(situation, place)
        if !place.warm? || @food.opened_where != "fridge" || (situation == "bought_sealed" && @food.shelf_stable?)
          return
        end

        cold = row(situation, fridge)
        cold if cold && cold.low > row(situation, place).low
      end

      # High-risk food whose seal is broken, and whatever the fridge rule calls a safety matter, may not
      # stand in the warm. Source: the two-hour rule of public food-safety guidance.
      def two_hours?(situation, place, sealed:) = place.warm? && perishable?(situation, sealed: sealed)

      # @return [Boolean] whether germs grow in it once it is warm, as it stands
      def perishable?(situation, sealed:)
        row(situation, fridge)&.kind == :safety || (@food.high_risk && !sealed)
      end

      private

      # The same few questions come up after every event: each is looked up once.
      def answer(situation, place) = @answers[[situation, place.kind]] ||= found(situation, place)

      def found(situation, place)
        own = OWN_ROWS[[situation, place.kind]]
        answer = own && @catalog.keeping(@food, situation, own, @storage)
        answer&.row? ? answer : @catalog.keeping(@food, situation, place.kind, @storage)
      end
    end
  end
end
