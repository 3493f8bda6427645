# frozen_string_literal: true

require_relative "../../desk/outages/outage_book"
require_relative "kit_words"

module NutShelf
  module Api
    # A power cut as JSON: how long it has been dark, what to eat first, and what the rules say of each stack.
    class OutageView
      # @param work [Desk::UnitOfWork]
      # @param outage [Store::Rows::Outage]
      # @param now [Time] while the power is not back
      # @param findings [Hash{Integer=>Array(Symbol, Rational)}]
      def initialize(work, outage, now:, findings: {})
        @work = work
        @outage = outage
        @book = Desk::Outages::OutageBook.new(work, outage, now: now, findings: findings)
      end

      # @return [Hash]
      def call
        judging = @book.judging
        {
          id: @outage.id, version: @outage.version, started_at: @outage.started_at.utc.iso8601,
          ended_at: @outage.ended_at&.utc&.iso8601, freezer_percent: (@outage.freezer_fill * 100).round,
          hours: hours(@book.cut.hours), fridge_hours: 4, freezer_hours: down(@book.cut.hours_allowed(@book.figures)),
          fridge_above: hours(judging.fridge_above), freezer_above: hours(judging.freezer_above),
          readings: @outage.readings.map { |one| { where: one["where"], c: one["c"], at: one["at"] } },
          stacks: listed.map { |one| stack(one) }, settled: @outage.findings.size
        }
      end

      private

      # In the dark only what may be eaten; afterwards everything that stood there.
      def listed = @outage.ended_at ? @book.open : @book.edible

      def stack(one)
        stack = one.stack
        verdict = @book.verdict(one)
        {
          lot_id: stack.id, name: stack.name(one.item.food), amount: @work.wording(stack), place: stack.place,
          where: one.item.place, mark: @work.mark(stack), until: stack.usable_until&.iso8601,
          by_hour: down(@book.eat_first.hour(one.item)), perishable: @book.eat_first.perishable?(one.item),
          verdict: verdict.act.to_s, rule: verdict.rule.to_s
        }
      end

      def hours(number) = number && KitWords.plain(Core::Kits::Rounding.up(number, 1))

      def down(number) = KitWords.plain(Core::Kits::Rounding.down(number, 1))
    end
  end
end
