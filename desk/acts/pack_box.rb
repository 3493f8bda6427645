# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/keeping"
require_relative "../kits/stocks"
require_relative "../parting"
require_relative "../refusal"

module NutShelf
  module Desk
    # Packs boxes of a kit as hands did: each pack stands in its box from now on. A box nobody told the house of becomes
    # a place. What was set apart for the kit is kept by its box instead. Dates follow the place, and never get later.
    class PackBox < Act
      private

      # @param input [Hash] :kit_id, :boxes as [{ number:, holds:, packs: [{ lot_id:, count: }] }], `holds`: packs that
      #   stood in it when they looked
      def perform(input)
        @kit = house.records.lock("kit", input[:kit_id])
        raise Refusal.of(:no_boxes_to_pack) unless @kit.school == "set_apart"

        refuse_packed_meanwhile(input[:boxes])
        packed = entry("pack_box", "Packed #{said(input[:boxes])}")
        wanted(input[:boxes]).each { |(number, lot_id), count| put(packed, number, lot_id, count) }
        note_seen(packed, input[:boxes].map { |box| box[:number] }.uniq)
        done(packed, kit_id: @kit.id)
      end

      # Two who pack the same box would fill it twice.
      def refuse_packed_meanwhile(boxes)
        boxes.each do |box|
          next if box[:holds] == Kits::Stocks.packs_in(work, places[box[:number]]&.id)

          raise Refusal.of(:packed_meanwhile, number: box[:number])
        end
      end

      def said(boxes)
        numbers = boxes.map { |box| box[:number] }.uniq.sort
        "#{numbers.size == 1 ? "box" : "boxes"} #{numbers.join(", ")} of #{@kit.name}"
      end

      # Packs by box and stack, the lowest stack first so that two who pack at once do not wait for each other.
      def wanted(boxes)
        boxes.flat_map { |box| box[:packs].map { |one| [[box[:number], one[:lot_id]], one[:count]] } }
          .group_by(&:first).transform_values { |list| list.sum(&:last) }.sort_by { |key, _| key.reverse }
      end

      def put(packed, number, lot_id, count)
        lot = packed.now(house.lots.lock_one(lot_id))
        raise Refusal.of(:not_to_keep) if lot.quarantined || lot.stopped

        place = box(packed, number, lot)
        refuse_boxed(lot)
        amount = count * Kits::Stocks.unit(lot)
        kept, others = house.reservations.of_lot(lot.id, work.today).partition { |row| row.kit_id == @kit.id }
        free = lot.on_hand - others.sum(0r, &:amount)
        raise Refusal.of(:only_free, left: work.part_words(lot, [free, 0r].max)) if amount > free

        carry(packed, lot, amount, place, kept)
      end

      def carry(packed, lot, amount, place, kept)
        Kits::Keeping.release(work, packed, lot, kept, amount)
        part = Parting.new(work, packed).part(lot, amount)
        packed.happen(part, work.happening("moved", place_id: place.id), place_id: place.id)
      end

      def refuse_boxed(lot)
        stands = work.place(lot.place_id)
        raise Refusal.of(:in_a_box_already, place: stands.name) if stands.kit_id == @kit.id && stands.kit_box
      end

      # Who packs a box has seen what is in it: the next look through it is half a year from today.
      def note_seen(packed, numbers)
        places.values_at(*numbers).compact.each do |box|
          place = house.records.lock("place", box.id)
          packed.alter("place", place, { checked_on: work.today }) unless place.checked_on == work.today
        end
      end

      # @return [Core::Place] the box of that number, as warm as the place its first pack comes from
      def box(packed, number, lot)
        places[number] ||= made(packed, number, work.place(lot.place_id))
      end

      def places
        @places ||= house.places.all.select { |place| place.kit_id == @kit.id && place.kit_box }
          .to_h { |place| [place.kit_box, place] }
      end

      def made(packed, number, like)
        facts = {
          name: free_name("#{@kit.name}, box #{number}"), kind: "cupboard", tier: "set_apart", kit_id: @kit.id,
          kit_box: number, **climate(like)
        }.compact
        id = house.places.add(**facts)
        packed.made("place", id, facts)
        work.know_places
        house.places.find(id)
      end

      # A box neither cools nor freezes: nothing may keep longer in it for where the first pack came from.
      def climate(like) = like.kind == "cupboard" ? { low_c: like.low_c, high_c: like.high_c } : {}

      def free_name(name)
        taken = house.places.all.map { |place| place.name.downcase }
        [name, *(2..99).map { |turn| "#{name} (#{turn})" }].find { |one| !taken.include?(one.downcase) } || name
      end
    end
  end
end
