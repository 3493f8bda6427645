# frozen_string_literal: true

require_relative "../planner/problem"
require_relative "plan_rules"

module NutShelf
  module Core
    # What a household wishes of its meals beside what they cost: vegetables and fruit, different ones in a week, fish
    # and days without meat, what is in season. As the planner reckons it: coins an eater on a dish, and coins by how
    # often dishes of a kind are cooked in a week.
    class MealWishes
      # Grams of vegetables or fruit that count as a serving, as most advice does.
      SERVING = 80r
      # Servings at a meal; five in a day over three meals.
      ENOUGH = 2r
      # A kind counts from so many grams a portion: an onion or a handful of parsley makes no vegetable of the day.
      COUNTS = 40r
      GROUPS = %w[vegetables fruit].freeze
      FRESH = ["Fresh vegetables", "Fresh fruit"].freeze
      # Days are looked at in stretches of a week, or of as near to it as they can be shared out.
      WEEK = 7.0
      # Coins for a meal of the wished kind that is missing.
      MISSING = 4r

      # @param rules [PlanRules]
      # @param foods [Hash{String=>Food}]
      # @param month [Integer]
      # @param region [String, nil] one of SideTables::REGIONS; nil: no season is reckoned with
      # @param seasons [Hash{String=>Array<Integer>}] food to months, where the household says them
      # @param there [#call] whether a food is in the house: it is eaten in season or not
      def initialize(rules:, foods:, month: 1, region: nil, seasons: {}, there: ->(_) { false })
        @rules = rules
        @foods = foods
        @month = month
        @region = region
        @seasons = seasons
        @there = there
      end

      # @param lines [Array<Array(String, Rational)>] a dish's needed foods, grams a portion
      # @return [Rational] coins an eater
      def extra(lines)
        greens = [green(lines).sum(0r) { |_, grams| grams } / SERVING, ENOUGH].min
        (@rules.of("vegetables") * (ENOUGH - greens)) + (@rules.of("season") * lines.count { |key, _| dear?(key) })
      end

      # @param dishes [Array<Array<Array(String, Rational)>>] the lines of each
      # @param days [Integer] that are planned
      # @param meals [Integer] in them
      # @param kinds [Array<Symbol, nil>] of dish each is, see DishKind
      # @return [Array<Planner::Tally>]
      def tallies(dishes, days, meals, kinds: [])
        @week = (days.to_f / [(days / WEEK).round, 1].max).ceil
        fish = at(dishes) { |keys| keys.any? { |key| @foods[key].fish? } }
        meatless = at(dishes) { |keys| keys.none? { |key| @foods[key].flesh? } }
        most = meals * @week / [days, 1].max
        [*variety(dishes), *often("fish", fish, most), *often("meatless", meatless, most), *alike(kinds, most)]
      end

      private

      def green(lines)
        lines.select do |key, _|
          food = @foods[key]
          GROUPS.include?(food.food_group) && !food.key.include?("potato") && food.class_key != "instant-mash"
        end
      end

      # Fresh, not in the house, and not in season: from far away or from under glass.
      def dear?(key)
        food = @foods[key]
        return false if @region.nil? || !FRESH.include?(food.aisle) || @there.(key)

        months = @seasons[key]
        months ? !months.include?(@month) : !food.in_season?(@region, @month)
      end

      # The first dish of a week with it is worth a little.
      def variety(dishes)
        worth = @rules.of("variety")
        return [] if worth.zero?

        with = Hash.new { |all, key| all[key] = [] }
        dishes.each_with_index do |lines, at|
          green(lines).each { |key, grams| with[key] << at if grams >= COUNTS }
        end
        with.values.map { |list| Planner::Tally.new(dishes: list.freeze, costs: [worth, 0r].freeze, days: @week) }
      end

      # Nobody minds a soup a week, or two; of many meals every seventh may be one.
      def alike(kinds, most)
        price = @rules.of("same_kind")
        return [] if price.zero?

        share = [2, (most/7r).ceil].max
        costs = [*Array.new(share + 1, 0r), *(1..[most - share, 0].max).map { |more| price * more }].freeze
        kinds.each_index.group_by { |at| kinds[at] }.except(nil).values.map do |list|
          Planner::Tally.new(dishes: list.freeze, costs: costs, days: @week)
        end
      end

      def often(rule, list, most)
        wanted = [(@rules.of(rule) * @week / WEEK).round, most].min
        return [] unless wanted.positive? && list.any?

        costs = (0..wanted).map { |times| MISSING * (wanted - times) }
        [Planner::Tally.new(dishes: list.freeze, costs: costs.freeze, days: @week)]
      end

      # Of portions that wait nobody says what went in.
      def at(dishes)
        dishes.each_index.select { |at| dishes[at].any? && yield(dishes[at].map(&:first)) }
      end
    end
  end
end
