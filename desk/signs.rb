# frozen_string_literal: true

require_relative "../core/dating/look_list"
require_relative "../core/reference/wrapping"

module NutShelf
  module Desk
    # What to look for on a stack: the list for its kind of pack.
    module Signs
      module_function

      # @param work [UnitOfWork]
      # @param lot [Store::Rows::Lot]
      # @return [String] key of the list
      def kind(work, lot)
        food = work.food(lot.food_id)
        Core::LookList.kind(
          food,
          situation: lot.situation,
          frozen: lot.frozen,
          wrapping: Core::Wrapping.of(lot, food),
          open: lot.open
        )
      end

      # @return [Array<Core::LookList::Sign>]
      def of(work, lot) = work.services.catalog.signs.fetch(kind(work, lot), [])
    end
  end
end
