# frozen_string_literal: true

require_relative "../../desk/looking_back/books"
require_relative "../../desk/looking_back/ran_out"
require_relative "../../desk/looking_back/weeks"
require_relative "advice_view"
require_relative "outcome_names"

module NutShelf
  module Api
    # What became of the food between two days, as JSON.
    class LookBackView
      # @param work [Desk::UnitOfWork]
      # @param from [Date]
      # @param to [Date]
      def initialize(work, from:, to:)
        @work = work
        @books = Desk::LookingBack::Books.new(work, from: from, to: to)
        @names = OutcomeNames.new(work)
      end

      # @return [Hash]
      def call
        {
          from: @books.from.iso8601, to: @books.to.iso8601, first: @work.house.outcomes.first_day&.iso8601,
          total: told(@books.tally), balance: balance, weeks: weeks.map { |week| week(week) },
          ran_out: ran_out.map { |one| ran(one) }
        }
      end

      # @return [Hash] what to change, and what was learnt
      def advice = AdviceView.new(@work, @books).call

      # @param way [String] of Books::BY
      # @return [Hash] a row for each
      def by(way)
        rows = @books.by(way).map do |key, tally|
          { key: Desk::LookingBack::Books.key(key), name: @names.of(way, key), **told(tally) }
        end
        { way: way, rows: rows }
      end

      # @param way [String]
      # @param key [String] of a row
      # @return [Hash] the movements behind it
      def behind(way, key)
        return { outcomes: @books.bought_in(key).map { |row| bought(row) } } if way == "spent"

        { outcomes: @books.behind(way, key).map { |one| outcome(one) } }
      end

      # @return [Array<Desk::LookingBack::Weeks::Week>]
      def weeks = @weeks ||= Desk::LookingBack::Weeks.new(@work, @books).all

      # @return [Core::Tally]
      def tally = @books.tally

      private

      def told(tally)
        {
          leaving_minor: tally.leaving, wasted_minor: tally.wasted, waste_permille: permille(tally.waste_rate),
          rescued_minor: tally.rescued, estimated_minor: tally.estimated, unweighed: tally.unweighed,
          count: tally.count, wasted: weight(tally.wasted_grams),
          kinds: tally.value.map do |kind, value|
            { kind: kind, value_minor: value, amount: weight(tally.grams[kind]), permille: of(value, tally.leaving) }
          end
        }
      end

      def permille(rate) = rate && (rate * 1000).round

      def of(value, whole) = whole.positive? ? (Rational(value, whole) * 1000).round : 0

      def weight(grams) = @work.amount(Core::Quantity.new(grams.round.to_r, :mass))

      def balance
        balance = @books.balance
        {
          opening_minor: balance.opening, closing_minor: balance.closing,
          came: balance.came.map { |way, value| { way: way, value_minor: value } },
          left: balance.left.map { |kind, value| { kind: kind, value_minor: value } }
        }
      end

      def week(week)
        {
          key: week.key, from: week.from.iso8601, to: week.to.iso8601,
          kinds: week.tally.value.map { |kind, value| { kind: kind, value_minor: value } },
          waste_permille: permille(week.tally.waste_rate), spent_minor: week.spent.values.sum,
          spent: week.spent.map do |group, value|
            { group: group, value_minor: value, per_eater_day_minor: week.each(value) }
          end,
          eater_days: week.eater_days, per_eater_day_minor: week.per_eater_day, stock_minor: week.worth,
          cover_weeks: week.cover && Core::Decimal.print(week.cover.round(1))
        }
      end

      def ran_out = Desk::LookingBack::RanOut.new(@work, from: @books.from, to: @books.to).all

      def ran(one)
        {
          food_id: one.food_id, food: @work.food(one.food_id).name, on: one.on.iso8601,
          until: one.until_on&.iso8601, days: one.days(@work.today)
        }
      end

      def outcome(one)
        {
          movement_id: one.movement_id, act_id: one.act_id, stack_id: one.lot_id, on: one.on.iso8601, kind: one.kind,
          how: @names.of("reason", Desk::LookingBack::Books::BY["reason"].call(one)),
          food: @work.food(one.food_id).name, food_id: one.food_id,
          place: @names.of("place", one.place_id), person: @names.of("person", one.account_id),
          shop: one.shop_id && @names.of("shop", one.shop_id), pack: @names.of("pack", one.pack),
          amount: one.grams && weight(one.grams), value_minor: one.value_minor, estimated: one.estimated,
          days_left: one.days_left, rescued: one.rescued?
        }
      end

      def bought(row)
        {
          movement_id: row.id, act_id: row.act_id, stack_id: row.lot_id, on: row.occurred_on.iso8601, kind: row.reason,
          how: "Bought", food: @work.food(row.food_id).name, food_id: row.food_id,
          place: @names.of("place", row.start_place_id), person: @names.of("person", row.account_id),
          shop: @books.shop_of(row)&.then { |id| @names.of("shop", id) }, pack: @names.of("pack", @books.pack_of(row)),
          amount: @books.weight_of(row)&.then { |grams| weight(grams) }, value_minor: row.value_minor,
          estimated: row.value_estimated, days_left: nil, rescued: false
        }
      end
    end
  end
end
