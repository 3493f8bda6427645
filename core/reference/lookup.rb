# frozen_string_literal: true

require_relative "answer"

module NutShelf
  module Core
    # Finds the keeping row for one food, or the reason why there is none on purpose. The order of
    # asking is the one data/README.md sets out: refusals of the food or its class, a stand-in that
    # replaces the question, the states in order, stand-ins that follow, and last the general refusals.
    class Lookup
      FROZEN = %w[frozen_at_home bought_frozen thawed].freeze
      DEPTH = 5

      def initialize(catalog, food, storage = nil)
        @catalog = catalog
        @food = food
        @storage = storage
      end

      # @return [Answer]
      def answer(situation, place)
        refusal(situation, place) || found(@food, situation, place) || general_refusal(situation, place)
      end

      private

      def refusal(situation, place)
        if @food.freezes == "no" && (place == "freezer" || FROZEN.include?(situation))
          return none(:no_figure, @food.freeze_note)
        end
        if @food.freezing_damage && place == "freezer" && situation == "bought_sealed"
          return none(:unsafe, frozen_whole)
        end

        strict = scopes(@food).first(2).flat_map { |scope| fitting(@catalog.no_rules(scope), situation, place) }.first
        strict && none(strict[:outcome].to_sym, strict[:reason])
      end

      def frozen_whole
        if @food.aisle.start_with?("Fresh ")
          "Whole, it spoils below 0 C."
        else
          "A sealed pack of it breaks or spoils below 0 C."
        end
      end

      def found(food, situation, place)
        row = find(food, situation, place, [])
        row && Answer.row(row)
      end

      def general_refusal(situation, place)
        rows =
          scopes(@food).each_with_index.flat_map do |scope, rank|
            fitting(@catalog.no_rules(scope), situation, place).map { |row| [rank, vagueness(row), row] }
          end
        row = rows.min_by { |rank, vague, _| [rank, vague] }&.last
        row ? none(row[:outcome].to_sym, row[:reason]) : none(:no_figure, "No figure is known.")
      end

      def vagueness(row) = [row[:situation], row[:place]].count("any")

      def find(food, situation, place, seen)
        return if seen.include?([food.key, situation, place]) || seen.size > DEPTH

        seen += [[food.key, situation, place]]
        swaps = scopes(food).flat_map { |scope| fitting(@catalog.stand_ins(scope), situation, place) }
        instead = swaps.find { |swap| swap[:mode] == "instead" && fresh?(swap, food, situation, place, seen) }
        return follow(instead, food, situation, place, seen) if instead

        by_state(food, situation, place) || after(swaps, food, situation, place, seen)
      end

      def after(swaps, food, situation, place, seen)
        swaps.each do |swap|
          row = swap[:mode] == "after" && follow(swap, food, situation, place, seen)
          return row if row
        end
        nil
      end

      def by_state(food, situation, place)
        @catalog.states(situation, place).each do |entry|
          state, elsewhere = entry.split("@")
          [food.key, food.class_key].compact.each do |scope|
            row = @catalog.row(scope, elsewhere || place, state, @storage)
            return row if row && !(elsewhere == "freezer" && row.after_thaw_days.nil?)
          end
        end
        nil
      end

      def follow(swap, food, situation, place, seen)
        find(swapped(swap, food), swap[:use_situation] || situation, swap[:use_place] || place, seen)
      end

      def fresh?(swap, food, situation, place, seen)
        return seen.none? { |key, *| key == swap[:use_instead] } if swap[:use_instead]

        !seen.include?([food.key, swap[:use_situation] || situation, swap[:use_place] || place])
      end

      def swapped(swap, food) = swap[:use_instead] ? @catalog.food(swap[:use_instead]) : food

      def scopes(food) = [food.key, food.class_key, "aisle:#{food.aisle}", "all"]

      def fitting(rows, situation, place)
        rows.select { |row| [situation, "any"].include?(row[:situation]) && [place, "any"].include?(row[:place]) }
      end

      def none(outcome, reason) = Answer.new(outcome: outcome, reason: reason)
    end
  end
end
