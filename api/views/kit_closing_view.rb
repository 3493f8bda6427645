# frozen_string_literal: true

require_relative "../../desk/kits/closing_book"
require_relative "kit_words"

module NutShelf
  module Api
    # How a kit's gaps are closed, as JSON: from the own shelf, by packs, in steps of a budget; nothing is written.
    class KitClosingView
      # @param work [Desk::UnitOfWork]
      # @param kit [Store::Rows::Kit]
      # @param own_shelf [Boolean] whether the own shelf gives what it can
      def initialize(work, kit, own_shelf: true)
        @work = work
        @kit = kit
        @closing = Desk::Kits::ClosingBook.new(work, Desk::Kits::KitBook.new(work, kit), own_shelf: own_shelf)
      end

      # @return [Hash]
      def call
        closed = @closing.closed
        {
          must_reach: @closing.book.must_carry(@work.today).iso8601, budget_minor: @kit.budget_minor,
          cost_minor: closed.cost_minor,
          fetch: closed.fetched.map { |supply, packs| fetched(supply, packs) },
          buy: closed.bought.map { |one| { **offer(one.offer), count: one.count, for: KitWords.line(one.for) } },
          steps: @closing.steps.call(@kit.budget_minor).map { |step| step(step) },
          left: closed.left.map { |line, gap| left(line, gap) }, listed: @closing.listed.map(&:text)
        }
      end

      private

      def fetched(supply, packs)
        stack = @closing.stock(supply).stack
        {
          lot_id: stack.id, name: stack.name(supply.food), place: stack.place, packs: packs, mark: @work.mark(stack),
          amount: @work.wording(stack, amount: packs * Desk::Kits::Stocks.unit(stack)),
          until: supply.usable_until&.iso8601
        }
      end

      def offer(offer)
        { food: offer.food.name, pack: @work.size(offer.given.stack.pack), price_minor: offer.price_minor,
          estimated: offer.estimated }
      end

      def step(step)
        counts = step.offers.tally
        {
          buy: counts.map { |one, count| { **offer(one), count: count } }, left_minor: step.left_minor,
          cost_minor: step.offers.sum(&:price_minor)
        }
      end

      def left(line, gap)
        { label: KitWords.line(line), unit: KitWords.unit(line), amount: KitWords.up(line, gap) }
      end
    end
  end
end
