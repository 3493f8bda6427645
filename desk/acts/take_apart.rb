# frozen_string_literal: true

require_relative "../act"
require_relative "../fit"
require_relative "../parting"
require_relative "../redate"
require_relative "../refusal"
require_relative "../../core/quantity/largest_remainder"

module NutShelf
  module Desk
    # A bag is taken apart again: each part becomes an opened stack of its own, worth its share by weight, and good no
    # longer than the bag was, whatever it was part of. What came from a jar nobody weighs has no stack to go back to.
    class TakeApart < Act
      private

      # @param input [Hash] :lot_id of bags, :amount how many, nil: all of them
      def perform(input)
        bag = house.lots.lock_one(input[:lot_id])
        raise Refusal.of(:no_bag_to_take_apart) unless bag.situation == "bagged" && bag.dimension == "count"

        Fit.check(work, bag, Redate.new(work).part(bag), pointer: "/lot_id")
        number = Parting.amount(work, bag, input[:amount] || Core::Decimal.print(bag.on_hand))
        refuse_kept(bag, number)
        parts = parts(bag, number)
        raise Refusal.of(:nothing_to_take_apart) if parts.empty?

        apart = entry("take_apart", "Took apart #{work.part_words(bag, number)} #{bag.name(work.food(bag.food_id))}")
        value = apart.draw(bag, number, "split")
        shares = Core::LargestRemainder.split(value, parts.map { |source, units| grams(source, units) })
        lots = parts.zip(shares).map { |(source, units), share| part(apart, bag, source, units, share) }
        done(apart, lot_id: lots.first.id, lot_ids: lots.map(&:id))
      end

      # A bag that is packed for a trip stays whole.
      def refuse_kept(bag, number)
        free = bag.on_hand - work.held.fetch(bag.id, 0r)
        raise Refusal.of(:only_free, left: work.part_words(bag, [free, 0r].max)) if number > free
      end

      # What went into as many bags, by stack.
      # @return [Array<Array(Store::Rows::Lot, Rational)>]
      def parts(bag, number)
        first, made = house.sources.made_as(bag.id)
        house.sources.cooked_into(first).filter_map do |row|
          source = house.lots.every([row.source_lot_id]).first
          units = (row.amount * number / made).floor(6)
          [source, units] if source && units.positive?
        end
      end

      def grams(source, units)
        dimension = source.dimension.to_sym
        units * (Core::Weight.of_unit(work.food(source.food_id), dimension, source.noun) || 1)
      end

      # Of the bag's own story: it stays as long as that, and no longer.
      def part(apart, bag, source, units, share)
        lot = apart.new_lot(
          **bag.slice(:place_id, :situation, :made_on, :start_place_id, :history, :value_estimated, :known_on),
          food_id: source.food_id, dimension: source.dimension, noun: source.noun, open: true,
          lot_text: source.lot_text
        )
        apart.came_of(lot, bag, 1r, "split")
        apart.came_of(lot, source, units, "cooked")
        apart.move(lot, units, share, "split")
      end
    end
  end
end
