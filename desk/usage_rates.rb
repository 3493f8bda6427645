# frozen_string_literal: true

require_relative "../core/planning/weight"
require_relative "../core/rotation/habits"
require_relative "../core/usage/rate"
require_relative "../core/usage/weeks"
require_relative "../store/usage"
require_relative "slots"

module NutShelf
  module Desk
    # How fast each food goes in this household, from one query of the ledger.
    class UsageRates
      NONE = Core::Rate.of([])
      UNITS = { "mass" => "g", "volume" => "ml", "count" => "pieces" }.freeze

      # @param work [UnitOfWork]
      # @param food_ids [Array<Integer>, nil] only these; nil: every food
      # @param reasons [Array<String>] of the movements that count as use
      def initialize(work, food_ids: nil, reasons: Store::Usage::USED)
        @work = work
        @food_ids = food_ids
        @reasons = reasons
      end

      # What goes of each food besides the dishes that were cooked: of those it is known, or was said.
      # @return [Core::Habits] from today on
      def habits
        weighed = rates.each_with_object(Hash.new(0r)) do |((food_id, dimension), rate), daily|
          grams = grams(food_id, dimension)
          daily[food_id] += rate.daily * grams if grams && rate.known?
        end
        (weekly_said.keys - rates.keys.map(&:first)).each do |id|
          grams = grams(id, @work.food(id).dimension.to_s)
          weighed[id] = weekly_said[id] / 7 * grams if grams
        end
        Core::Habits.new(weighed.to_h { |id, daily| [@work.food(id).key, daily.round(6)] }, @work.today)
      end

      # @param stack [#food_id, #noun, #dimension]
      # @return [Core::Rate] in its own units
      def of(stack) = rate(stack.food_id, stack.noun ? "pack" : stack.dimension.to_s)

      # @param food_id [Integer]
      # @param dimension [String] of the stacks meant; "pack" for packs of unknown size
      # @return [Core::Rate] in base units of that dimension
      def rate(food_id, dimension) = rates.fetch([food_id, dimension]) { said(food_id) }

      private

      def rates
        @rates ||=
          @work
            .house
            .usage
            .daily(@work.today, food_ids: @food_ids, reasons: @reasons)
            .group_by { |row| [row.food_id, row.dimension] }
            .transform_values { |rows| reckon(rows) }
      end

      def grams(food_id, dimension)
        food = @work.food(food_id)
        return Core::Weight.of_unit(food, :count, "pack") if dimension == "pack"

        Core::Weight.of_unit(food, dimension.to_sym, nil)
      end

      def reckon(rows)
        uses =
          rows.map { |row| Core::Weeks::Use.new(on: row.occurred_on, since: row.since, amount: row.used) }
        Core::Rate.of(
          Core::Weeks.of(
            uses, today: @work.today, first_on: first_on(rows), away: away, like: season(rows.first.food_id)
          ),
          said: weekly_said[rows.first.food_id],
          unit: UNITS.fetch(rows.first.dimension, "packs")
        )
      end

      def said(food_id) = weekly_said[food_id] ? Core::Rate.of([], said: weekly_said[food_id]) : NONE

      def weekly_said = @weekly_said ||= @work.house.foods.weekly_said

      # Days on which nobody was to eat at any meal that is planned here.
      def away
        @away ||=
          begin
            from = @work.today - (Store::Usage::WEEKS * 7)
            by_day = slots.between(from, @work.today).group_by(&:on)
            by_day.reject { |_, slots| slots.any?(&:wanted?) }.keys.to_set
          end
      end

      # Of what grows fresh: whether a day is of its season as today is.
      # @return [Proc, nil] nil where a season makes no difference
      def season(food_id)
        food = @work.food(food_id)
        months = slots.seasons[food.key] || food.season[slots.season_region]
        return if months.nil? || months.empty?

        ->(day) { months.include?(day.month) == months.include?(@work.today.month) }
      end

      def slots = @slots ||= Slots.new(@work)

      # Weeks before a food first came are not weeks without use.
      def first_on(rows) = (@first_days ||= @work.house.usage.first_days).fetch(rows.first.food_id, @work.today)
    end
  end
end
