# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/floor"
require_relative "../parting"
require_relative "../refusal"

module NutShelf
  module Desk
    # Pours a pack into a jar, tub or box. That opens it; the date, the directions and the name follow the food.
    class Decant < Act
      private

      # @param input [Hash] :lot_id, :container_id, :amount in base units or nil for one pack;
      #   :despite why, see Take
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        work.in_the_dark.guard([lot.id])
        jar = house.containers.find(input[:container_id])
        refuse_none_free(jar)
        amount = wanted(lot, input[:amount])
        despite = Kits::Floor.new(work).guard({ lot.id => amount }, input[:despite])
        decanted =
          entry(
            "decant",
            "Poured #{work.loose_words(lot, amount)} #{work.food(lot.food_id).name} into #{jar.name}#{despite}"
          )
        part = Parting.new(work, decanted).part(lot, amount)
        place_id = standing(jar) || part.place_id
        poured = { open: true, container_id: jar.id, place_id: place_id, history: story(part, jar, place_id) }
        decanted.change(part, "decanted", poured)
        done(decanted, lot_id: part.id)
      end

      def refuse_none_free(jar)
        return if house.containers.in_use(jar.id) < jar.owned

        raise Refusal.of(:every_jar_in_use, jar: jar.name)
      end

      # A jar whose place was taken away is filled where the food stands.
      def standing(jar) = work.places.key?(jar.place_id) ? jar.place_id : nil

      def wanted(lot, text)
        Parting.amount(work, lot, text, usual: [lot.pack_amount || lot.on_hand, lot.on_hand].min)
      end

      def story(lot, jar, place_id)
        moved = place_id == lot.place_id ? nil : work.happening("moved", place_id: place_id)
        opened = lot.open ? nil : work.happening("opened")
        closed = %w[jar tub box bottle].include?(jar.kind) ? "jar" : "bag"
        [*lot.history, *[moved, opened].compact, work.happening("stored", method: closed)]
      end
    end
  end
end
