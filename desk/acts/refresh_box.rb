# frozen_string_literal: true

require_relative "../act"
require_relative "../belonging"
require_relative "../parting"
require_relative "../refusal"
require_relative "../trips/box_book"

module NutShelf
  module Desk
    # Refreshes a box in one act: what does not reach the next year comes out and goes where it belongs, what reaches it
    # goes in from the own shelf. What is to be bought is told, and bought by somebody.
    class RefreshBox < Act
      private

      # @param input [Hash] :place_id
      def perform(input)
        @book = Trips::BoxBook.new(work, work.place_in_use(house.places.find(input[:place_id]).id))
        lines = @book.lines
        raise Refusal.of(:box_holds_nothing) if lines.empty?
        raise Refusal.of(:box_fresh) if lines.all? { |line| leaving(line).empty? && line.refreshed.in.empty? }

        refreshed = entry("refresh_box", "Refreshed #{@book.place.name}")
        out = lines.flat_map { |line| leaving(line).map { |id, amount| out(refreshed, id, amount) } }
        into = lines.flat_map { |line| line.refreshed.in.map { |id, packs| into(refreshed, id, packs) } }
        done(refreshed, place_id: @book.place.id, lot_ids: [*out, *into].map(&:id))
      end

      # @return [Array<Array(Integer, Rational)>] stacks and how much of each
      def leaving(line)
        [*line.refreshed.out.map { |one| [one.id, @book.amount(@book.stack(one.id), one.count)] },
         *line.undated.map { |stack| [stack.id, stack.on_hand] }]
      end

      def out(refreshed, id, amount)
        lot = house.lots.lock_one(id)
        home = Belonging.new(work).place(house.foods.find(lot.food_id))
        home = kitchen if home.nil? || home.id == @book.place.id
        move(refreshed, Parting.new(work, refreshed).part(lot, amount), home)
      end

      def kitchen
        here = @book.place.id
        work.places.each_value.find { |one| one.kind == "cupboard" && one.id != here && !one.set_apart? } ||
          raise(Refusal.of(:no_cupboard))
      end

      def into(refreshed, id, packs)
        lot = house.lots.lock_one(id)
        part = Parting.new(work, refreshed).part(lot, @book.amount(@book.stack(id), packs))
        move(refreshed, part, @book.place)
      end

      def move(refreshed, lot, place)
        refreshed.happen(lot, work.happening("moved", place_id: place.id), place_id: place.id)
      end
    end
  end
end
