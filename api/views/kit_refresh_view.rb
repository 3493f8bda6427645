# frozen_string_literal: true

require_relative "../../desk/kits/refresh_book"
require_relative "kit_words"

module NutShelf
  module Api
    # The next refresh of a kit as JSON, to do at the shelf.
    class KitRefreshView
      # @param work [Desk::UnitOfWork]
      # @param kit [Store::Rows::Kit]
      def initialize(work, kit)
        @work = work
        @kit = kit
        @refresh = Desk::Kits::RefreshBook.new(work, Desk::Kits::KitBook.new(work, kit))
      end

      # @return [Hash]
      def call
        plan = @refresh.plan
        {
          on: @refresh.book.refresh_on.iso8601, next_on: plan.next_on.iso8601, must_reach: plan.must_reach.iso8601,
          refreshed_on: @kit.refreshed_on&.iso8601, stay: plan.stay.size, look: plan.look.map { |one| stack(one) },
          kitchen: plan.kitchen.map { |one| leaves(one) },
          fetch: plan.fetch.map { |supply, packs| { **stack(supply, packs), packs: packs } },
          buy: plan.buy.map { |(food, pack), count| { food: food.name, pack: @work.size(pack), count: count } }
        }
      end

      private

      def leaves(one)
        to = @refresh.kitchen(@refresh.stack(one.stack).food_id)
        { **stack(one.stack), eat_by: one.eat_by.iso8601, weeks: one.weeks, per_week: one.per_week, to: to&.name }
      end

      def stack(supply, packs = supply.packs)
        stack = @refresh.stack(supply)
        {
          lot_id: stack.id, name: stack.name(supply.food), place: stack.place, mark: @work.mark(stack),
          amount: @work.wording(stack, amount: packs * Desk::Kits::Stocks.unit(stack)),
          until: supply.usable_until&.iso8601
        }
      end
    end
  end
end
