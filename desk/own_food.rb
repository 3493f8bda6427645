# frozen_string_literal: true

module NutShelf
  module Desk
    # A food that a household makes itself: written down the first time it is made, known by its key from then on.
    module OwnFood
      module_function

      # @param work [UnitOfWork]
      # @param entry [Entry] of the act that makes it
      # @param facts [Hash] columns of the food, :key among them
      # @return [Integer] food id
      def ensure(work, entry, **facts)
        known = work.house.foods.by_key([facts[:key]])[facts[:key]]
        return known.id if known

        work.house.foods.add(**facts).tap { |id| entry.made("food", id, facts) }
      end
    end
  end
end
