# frozen_string_literal: true

require_relative "../planner/problem"
require_relative "../value"

module NutShelf
  module Core
    # What a household wants of its plans, each rule with a plain name, strengths to choose from and one that holds
    # where nobody chose. Money in coins. Frozen.
    class PlanRules
      # A rule as a person reads it: `strengths` name to what the planner reckons with.
      Rule = Value.of(:key, :name, :about, :default, :strengths)

      ALL = [
        Rule.new(
          key: "shelf", name: "The shelf", default: "level", about: "What a coin of stock counts that is used.",
          strengths: { "eat_down" => 2/10r, "level" => 6/10r, "build_up" => 1r }.freeze
        ),
        Rule.new(
          key: "waste", name: "Food that would go past", default: "usual", about: "A coin of food lost counts so many.",
          strengths: { "little" => 6/10r, "usual" => 16/10r, "much" => 3r }.freeze
        ),
        Rule.new(
          key: "same_dish", name: "The same dish within a week", default: "rather_not", about: "Coins for each time.",
          strengths: { "no_matter" => 0r, "rather_not" => 3r, "never" => 30r }.freeze
        ),
        Rule.new(
          key: "same_main", name: "The same main two days running", default: "rather_not",
          about: "Coins for each time.",
          strengths: { "no_matter" => 0r, "rather_not" => 8/10r, "never" => 8r }.freeze
        ),
        Rule.new(
          key: "same_kind", name: "The same kind of dish", default: "rather_not",
          about: "Coins for each soup, salad, pasta and so on of a week beyond its share of the meals.",
          strengths: { "no_matter" => 0r, "rather_not" => 2r, "seldom" => 5r }.freeze
        ),
        Rule.new(
          key: "minutes", name: "Minutes at the stove", default: "usual", about: "Coins for a minute of work.",
          strengths: { "no_matter" => 0r, "usual" => 2/100r, "few" => 8/100r }.freeze
        ),
        Rule.new(
          key: "likes", name: "What everybody likes", default: "usual", about: "Coins for a portion somebody loves.",
          strengths: { "no_matter" => 0r, "usual" => 1r, "much" => 3r }.freeze
        ),
        Rule.new(
          key: "leftovers", name: "Cooking once for several meals", default: "gladly", about: "Coins for a meal again.",
          strengths: { "rather_not" => 3r, "gladly" => 6/10r, "often" => 1/10r }.freeze
        ),
        Rule.new(
          key: "vegetables", name: "Vegetables and fruit", default: "usual",
          about: "Coins for each serving that a meal has less than two, for everybody at the table.",
          strengths: { "no_matter" => 0r, "usual" => 2/10r, "much" => 6/10r }.freeze
        ),
        Rule.new(
          key: "variety", name: "Different vegetables and fruit in a week", default: "usual",
          about: "Coins for each kind that is on the table for the first time that week.",
          strengths: { "no_matter" => 0r, "usual" => 3/10r, "much" => 1r }.freeze
        ),
        Rule.new(
          key: "fish", name: "Fish in a week", default: "no_matter",
          about: "Times; four coins for each that is missing.",
          strengths: { "no_matter" => 0, "once" => 1, "twice" => 2 }.freeze
        ),
        Rule.new(
          key: "meatless", name: "Without meat or fish in a week", default: "no_matter",
          about: "Meals; four coins for each that is missing.",
          strengths: { "no_matter" => 0, "twice" => 2, "half" => 4, "most" => 6 }.freeze
        ),
        Rule.new(
          key: "season", name: "What is in season", default: "usual",
          about: "Coins an eater for fresh food that would have to be bought out of its season.",
          strengths: { "no_matter" => 0r, "usual" => 1/10r, "much" => 4/10r }.freeze
        )
      ].freeze

      # @param chosen [Hash{String=>String}] rule to strength
      def initialize(chosen = {})
        @chosen = ALL.to_h do |rule|
          [rule.key, rule.strengths.key?(chosen[rule.key]) ? chosen[rule.key] : rule.default]
        end.freeze
        freeze
      end

      # @return [Hash{String=>String}] rule to the strength in force
      def to_h = @chosen

      # @param key [String]
      # @return [Rational] coins
      def of(key) = ALL.find { |rule| rule.key == key }.strengths.fetch(@chosen.fetch(key))

      # @param days [Integer]
      # @return [Planner::Params]
      def params(days)
        Planner::Params.new(
          days: days, grace_days: 3, waste_weight: of("waste"), stock_value: of("shelf"), rep_window_days: 7,
          rep_cost: of("same_dish") / 2, protein_cost: of("same_main"), starch_cost: of("same_main") / 2,
          liking_weight: of("likes"), minute_cost: of("minutes"), leftover_cost: of("leftovers"), leftover_like: 7/10r,
          skip_cost_per_eater: 9r, change_cost: 3/10r, freeze_cost: 3/10r, again_most: 3
        )
      end
    end
  end
end
