# frozen_string_literal: true

module NutShelf
  module Desk
    # How a pack of a food opens, as somebody said last of one: further packs of that size open so until somebody says
    # otherwise.
    module PackOpening
      module_function

      # @param work [UnitOfWork]
      # @param pack_id [Integer, nil]
      # @return [String, nil] "ring", "opener" and so on
      def known(work, pack_id) = pack_id && work.house.packs.openings[pack_id]

      # @param work [UnitOfWork]
      # @param entry [Entry] by which it was said
      # @param pack_id [Integer, nil]
      # @param opening [String, nil]
      # @return [void]
      def learn(work, entry, pack_id, opening)
        return if pack_id.nil? || opening.nil? || known(work, pack_id) == opening

        entry.alter("pack", work.house.records.lock("pack", pack_id), { opening: opening })
        work.house.packs.know_openings
      end
    end
  end
end
