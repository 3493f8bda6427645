# frozen_string_literal: true

require_relative "../core/planning/meal_slot"
require_relative "../core/planning/plan_rules"
require_relative "../core/reference/side_tables"

module NutShelf
  module Desk
    # What the meals of a household's days are like: who eats, how long there is, what kind of evening.
    class Slots
      ORDER = %w[breakfast lunch dinner snack].freeze
      PLANNED = %w[dinner].freeze
      # Minutes free before a meal where nobody said.
      USUAL = { "breakfast" => 15, "lunch" => 40, "dinner" => 75, "snack" => 20 }.freeze

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Array<String>] which meals of a day this household plans, in their order
      def meals = @meals ||= ORDER & @work.household.settings.fetch("planned_meals", PLANNED)

      # @return [Hash{String=>Integer}]
      def usual = USUAL.merge(@work.household.settings.fetch("usual_minutes", {}))

      # @return [Core::PlanRules]
      def rules = Core::PlanRules.new(@work.household.settings.fetch("plan_rules", {}))

      # @param from [Date]
      # @param to [Date]
      # @return [Integer, nil] minor units that are meant to be spent on the days of these that are not over, nil where
      #   nobody said
      def budget(from, to)
        week = @work.household.settings.fetch("week_budget_minor", 0)
        days = (to - [from, @work.today].max).to_i + 1
        week.positive? && days.positive? ? (week * days/7r).round : nil
      end

      # @return [String] where this house stands, as far as seasons go
      def season_region = @work.household.settings.fetch("season_region", Core::SideTables::REGIONS.first)

      # @return [Hash{String=>Array<Integer>}] food key to months, where the household says them otherwise
      def seasons = @work.household.settings.fetch("seasons", {})

      # @param from [Date]
      # @param to [Date]
      # @return [Array<Core::MealSlot>] in the order of time
      def between(from, to) = made(from, to).between(from, to)

      # @param day [Date]
      # @param meal [String]
      # @return [Core::MealSlot] also of a meal that is not planned every day
      def of(day, meal) = made(day, day).of(day, meal)

      # A meal without a day, for everybody at home.
      # @param day [Date] by which it is cooked
      # @param meal [String]
      # @return [Core::MealSlot]
      def in_hand(day, meal) = Core::MealSlots.new(people: @work.eaters).of(day, meal).with(hand: true)

      # @return [Array<Store::Rows::Pattern>]
      def patterns = @patterns ||= @work.house.meals.patterns

      private

      def made(from, to)
        Core::MealSlots.new(
          people: @work.eaters, said: said(from, to), patterns: patterns, meals: meals, usual: usual
        )
      end

      # The days around a plan are asked for once.
      def said(from, to)
        return @said.select { |one| one.on_date.between?(from, to) } if @range&.cover?(from) && @range.cover?(to)

        @range = ([from, to, @work.today].min..[from, to, @work.today + 31].max)
        @said = @work.house.meals.slots(@range.begin, @range.end)
        said(from, to)
      end
    end
  end
end
