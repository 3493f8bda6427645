# frozen_string_literal: true

require_relative "../refusal"
require_relative "outage_book"

module NutShelf
  module Desk
    module Outages
      # While a power cut is not settled nobody can know whether what stood in it is still good: what its rules would
      # throw out is neither eaten nor cooked, cut, portioned, poured or given away as if nothing had been.
      class Unsettled
        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param lot_ids [Array<Integer>] what is to be eaten, cooked or handed on
        # @raise [Conflict] naming the first that is in doubt
        def guard(lot_ids)
          food = doubtful.values_at(*lot_ids).compact.first
          raise Refusal.of(:stood_in_the_dark, food: food.name) if food
        end

        # What plans may draw on until then: what is in doubt stands there, and nothing of it is free, be it told by
        # weight or by level.
        # @param shelf [Core::Shelf]
        # @return [Core::Shelf]
        def withhold(shelf)
          doubted = shelf.stacks.values_at(*doubtful.keys).compact
          return shelf if doubted.empty?

          held = doubted.map do |stack|
            stack.with(reserved: stack.on_hand, amount: stack.amount && 0r, level: nil)
          end
          shelf.after(held, [])
        end

        # @return [Array<Integer>] stacks in doubt
        def ids = doubtful.keys

        # @param lot_id [Integer]
        # @return [Boolean]
        def doubts?(lot_id) = doubtful.key?(lot_id)

        private

        # @return [Hash{Integer=>Core::Food}] by stack what the rules would throw out
        def doubtful
          @doubtful ||= begin
            outage = @work.house.kits.outage
            outage ? thrown(OutageBook.new(@work, outage, now: Time.now.utc)) : {}
          end
        end

        def thrown(book)
          book.open.select { |one| book.verdict(one).act == :throw }.to_h { |one| [one.stack.id, one.item.food] }
        end
      end
    end
  end
end
