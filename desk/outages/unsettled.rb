# frozen_string_literal: true

require_relative "../refusal"
require_relative "outage_book"

module NutShelf
  module Desk
    module Outages
      # While a power cut is not settled nobody can know whether what stood in it is still good: what its rules would
      # throw out is neither cooked with nor eaten as if nothing had been.
      class Unsettled
        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param lot_ids [Array<Integer>] what is to be cooked or eaten
        # @raise [Conflict] naming the first that is in doubt
        def guard(lot_ids)
          outage = @work.house.kits.outage or return
          book = OutageBook.new(@work, outage, now: Time.now.utc)
          doubtful = book.open.find { |one| lot_ids.include?(one.stack.id) && book.verdict(one).act == :throw }
          raise Refusal.of(:stood_in_the_dark, food: doubtful.item.food.name) if doubtful
        end
      end
    end
  end
end
