# frozen_string_literal: true

require_relative "../../core/outage/ahead"
require_relative "../../desk/outages/outage_book"
require_relative "kit_words"

module NutShelf
  module Api
    # What is prepared for a power cut while the house still answers, as JSON: of each stack in the cold until which
    # hour it keeps, and what the rules will say by the hour where nobody takes a reading, for a freezer as full as may
    # be said.
    class PreparedView
      PERCENTS = [100, 50, 25].freeze
      NOBODY_SAID = { started_at: Time.at(0).utc, ended_at: nil, readings: [], findings: {}, stood: {} }.freeze

      # @param work [Desk::UnitOfWork]
      # @param outage [Store::Rows::Outage, nil] the one that runs
      def initialize(work, outage)
        @work = work
        @outage = outage
      end

      # @return [Hash]
      def call
        first = book(100)
        {
          outage: @outage && running, fridge_hours: first.figures.usual("fridge-hours-no-power").to_i,
          freezer: PERCENTS.map { |percent| { percent: percent, hours: down(allowed(book(percent))) } },
          stacks: first.stood.map { |one| stack(one) }
        }
      end

      private

      def running
        {
          started_at: @outage.started_at.utc.iso8601, ended_at: @outage.ended_at&.utc&.iso8601,
          freezer_percent: (@outage.freezer_fill * 100).round,
          read: @outage.readings.map { |one| one["where"] }.uniq.sort
        }
      end

      def stack(one)
        stack = one.stack
        {
          lot_id: stack.id, name: stack.name(one.item.food), amount: @work.wording(stack), place: stack.place,
          where: one.item.place, mark: @work.mark(stack), good: one.good,
          until: book(100).good_until(one)&.iso8601, safety_until: stack.safety_until&.iso8601,
          perishable: book(100).eat_first.perishable?(one.item), ways: PERCENTS.map { |percent| way(one, percent) }
        }
      end

      def way(one, percent)
        {
          percent: percent, by_hour: down(book(percent).eat_first.hour(one.item)),
          turns: one.stopped ? [{ upto: nil, verdict: "throw", rule: "not_to_eat" }] : turns(one, percent)
        }
      end

      def turns(one, percent)
        ahead(percent).turns(one.item)
          .map { |turn| { upto: turn.upto && down(turn.upto), verdict: turn.act.to_s, rule: turn.rule.to_s } }
      end

      def ahead(percent)
        (@ahead ||= {})[percent] ||= Core::Outage::Ahead.new(@work.catalog, book(percent).figures, fill: percent/100r)
      end

      # Nobody knows yet when it goes, only how full the freezer may be.
      def book(percent)
        (@books ||= {})[percent] ||= begin
          asked = Store::Rows::Outage.new(
            id: 0, version: 0, archived_at: nil, settled_on: nil, freezer_fill: percent/100r, **NOBODY_SAID
          )
          Desk::Outages::OutageBook.new(@work, asked, now: NOBODY_SAID[:started_at])
        end
      end

      def allowed(book) = book.cut.hours_allowed(book.figures)

      def down(number) = KitWords.plain(Core::Kits::Rounding.down(number, 1))
    end
  end
end
