# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/keeping"
require_relative "../kits/refresh_book"
require_relative "../parting"
require_relative "../refusal"

module NutShelf
  module Desk
    # One thing of a kit's refresh: a stack that leaves for the kitchen, packs that come in for it from the own shelf,
    # or the whole of it done. Dates stay what they are.
    class RefreshKit < Act
      private

      # @param input [Hash] :kit_id, and one of :take_out (a stack), :put_in (a stack, with :packs) or :done
      def perform(input)
        kit = house.records.lock("kit", input[:kit_id])
        @book = Kits::RefreshBook.new(work, Kits::KitBook.new(work, kit))
        return take_out(kit, input) if input[:take_out]
        return put_in(kit, input) if input[:put_in]
        raise Refusal.of(:nothing_to_refresh) unless input[:done]

        finished(kit)
      end

      def finished(kit)
        raise Refusal.of(:says_that_already) if kit.refreshed_on == work.today

        done_with = entry("refresh_kit", "Refreshed #{kit.name}")
        done_with.alter("kit", kit, { refreshed_on: work.today })
        done(done_with, kit_id: kit.id)
      end

      # Out of its box, or free again where it stood.
      def take_out(kit, input)
        lot = house.lots.lock_one(input[:take_out])
        held = house.reservations.of_lot(lot.id, work.today).select { |row| row.kit_id == kit.id }
        boxed = work.place(lot.place_id).kit_id == kit.id
        raise Refusal.of(:not_of_this_kit) if held.empty? && !boxed

        out = entry("refresh_kit", "Out of #{kit.name}: #{work.named(lot, lot.name(work.food(lot.food_id)))}")
        release(out, lot, held)
        move(out, lot, @book.kitchen(lot.food_id)) if boxed
        done(out, lot_id: lot.id, kit_id: kit.id)
      end

      def release(out, lot, held)
        held.each do |row|
          out.alter("reservation", house.records.lock("reservation", row.id), { archived_at: Time.now.utc.iso8601 })
          out.tell(lot, "released", row.slice(:amount, :holder))
        end
      end

      def move(entry, lot, place)
        raise Refusal.of(:no_shelf_for_it) unless place

        entry.happen(lot, work.happening("moved", place_id: place.id), place_id: place.id)
      end

      # Into the first box of the kit; without one it is set apart where it stands.
      def put_in(kit, input)
        lot = house.lots.lock_one(input[:put_in])
        raise Refusal.of(:not_to_keep) if lot.quarantined || lot.stopped

        amount = input.fetch(:packs, 1) * Kits::Stocks.unit(work.shelf.stack(lot.id))
        free = lot.on_hand - work.held.fetch(lot.id, 0r)
        raise Refusal.of(:only_free, left: work.part_words(lot, [free, 0r].max)) if amount > free

        into = entry("refresh_kit", "Into #{kit.name}: #{work.part_words(lot, amount)} #{work.food(lot.food_id).name}")
        part = @book.box ? boxed(into, lot, amount) : kept(into, kit, lot, amount)
        done(into, lot_id: part.id, kit_id: kit.id)
      end

      def boxed(into, lot, amount)
        part = Parting.new(work, into).part(lot, amount)
        move(into, part, @book.box)
        part
      end

      def kept(into, kit, lot, amount)
        Kits::Keeping.keep(into, kit, lot, amount)
        lot
      end
    end
  end
end
