# frozen_string_literal: true

require_relative "../refusal"

module NutShelf
  module Desk
    module Kits
      # Sets packs apart for a kit within an act: meals leave them alone, and they count for it where they stand.
      module Keeping
        module_function

        # @param entry [Entry]
        # @param kit [Store::Rows::Kit]
        # @param lot [Store::Rows::Lot] locked
        # @param amount [Rational] in its own units
        # @return [void]
        # @raise [Conflict] for what nobody should eat
        def keep(entry, kit, lot, amount)
          raise Refusal.of(:not_to_keep) if lot.quarantined || lot.stopped

          facts = { lot_id: lot.id, amount: amount, holder: kit.name, kit_id: kit.id, until_on: nil }
          entry.tell(lot, "set_apart", facts.except(:kit_id))
          entry.make("reservation", facts)
        end

        # What leaves, or stands in a box of the kit by now, needs no setting apart; the rest of it stays set apart.
        # @param work [UnitOfWork]
        # @param entry [Entry]
        # @param lot [Store::Rows::Lot] locked
        # @param rows [Array<Store::Rows::Reservation>] by which it is kept
        # @param amount [Rational] in its own units
        # @return [void]
        def release(work, entry, lot, rows, amount)
          rows.each do |row|
            gone = [row.amount, amount].min
            amount -= gone
            next unless gone.positive?

            change = gone == row.amount ? { archived_at: Time.now.utc.iso8601 } : { amount: row.amount - gone }
            entry.alter("reservation", work.house.records.lock("reservation", row.id), change)
            entry.tell(lot, "released", { amount: gone, holder: row.holder })
          end
        end
      end
    end
  end
end
