# frozen_string_literal: true

require_relative "../../desk/kits/before"
require_relative "kit_words"

module NutShelf
  module Api
    # The hours before an event as JSON: a list by the clock, to tick.
    class EventView
      # @param work [Desk::UnitOfWork]
      # @param event [Store::Rows::Event]
      # @param now [Time]
      def initialize(work, event, now:)
        @work = work
        @event = event
        @now = now
        @before = Desk::Kits::Before.new(work, event, now: now)
      end

      # @return [Hash]
      def call
        {
          done: done, fill_l: KitWords.plain(@event.fill_l), flush_l: KitWords.plain(@event.flush_l),
          **@event.slice(:id, :version, :name, :helpers, :days, :has), **hours, **clock, **larder
        }
      end

      private

      def hours
        { hour: @event.hour.utc.iso8601, hours_left: [((@event.hour - @now) / 3600).floor, 0].max }
      end

      def clock
        plan = @before.plan
        {
          begin_at: plan.begin_at&.utc&.iso8601, too_late: plan.too_late.map(&:key),
          tasks: plan.turns.map { |turn| timed(turn) }, left_out: plan.left_out.map { |one| task(one) }
        }
      end

      def larder
        ice = @before.ice_l && KitWords.plain(Core::Kits::Rounding.down(@before.ice_l))
        { eat_first: @before.chilled.map { |stack| chilled(stack) }, fresh: fresh, ice_l: ice,
          stretched: @before.stretched.map { |one| stretched(one) } }
      end

      def timed(turn) = { **task(turn.task), start: turn.start.utc.iso8601, by: turn.by.utc.iso8601 }

      def task(task) = task.slice(:key, :name, :note)

      def done
        @before.tasks.select { |task| @event.ticked.key?(task.key) }
          .map { |task| { **task(task), by: @event.ticked.dig(task.key, "name").to_s } }
      end

      def chilled(stack)
        { lot_id: stack.id, name: stack.name(@work.food(stack.food_id)), amount: @work.wording(stack),
          until: stack.usable_until&.iso8601, mark: @work.mark(stack) }
      end

      def stretched(one)
        tin = @work.food(one.tin.food_id)
        {
          lot_id: one.stack.id, name: one.stack.name(@work.food(one.stack.food_id)), amount: @work.wording(one.stack),
          feeds: one.feeds, tin_lot_id: one.tin.id, tin: one.tin.name(tin), count: one.count,
          pack: @work.wording(one.tin, amount: Desk::Kits::Stocks.unit(one.tin))
        }
      end

      def fresh
        @before.fresh.map do |group, plan|
          { label: KitWords.line(group), tins_from_day: plan.tins_from_day, foods: plan.foods.map do |one|
            bought(one)
          end }
        end
      end

      def bought(one)
        pieces = one.unit == "piece"
        {
          name: one.food.name, from: one.from, to: one.to,
          amount: pieces ? one.amount.to_s : @work.amount(Core::Quantity.new(one.amount.to_r, :mass))
        }
      end
    end
  end
end
