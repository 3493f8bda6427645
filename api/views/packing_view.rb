# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/trips/packing_list"
require_relative "../../desk/trips/travelling_cold"
require_relative "../../desk/trips/trip_book"

module NutShelf
  module Api
    # What goes along on a trip as JSON: bags, food, what people forget, and what is packed.
    class PackingView
      # @param work [Desk::UnitOfWork]
      # @param trip [Store::Rows::Trip]
      def initialize(work, trip)
        @work = work
        @trip = trip
        @list = Desk::Trips::PackingList.new(work, Desk::Trips::TripBook.new(work, trip))
      end

      # @return [Hash]
      def call
        {
          id: @trip.id, version: @trip.version, name: @trip.name, status: @trip.status,
          leaves_on: @trip.leaves_on.iso8601, bags: @list.bags.map { |one| bags(one) },
          foods: @list.foods.map { |one| food(one) }, essentials: @list.essentials.map { |one| essential(one) },
          packed: @list.packed_stacks.map { |stack| packed(stack) }, ticked: @trip.ticked, cold: cold
        }
      end

      private

      def cold
        Desk::Trips::TravellingCold.new(@work).places(@list.packed_stacks.map(&:id))
          .map { |place| { place_id: place.id, name: place.name } }
      end

      def bags(one)
        {
          key: one.assembly.key, name: one.assembly.name, need: one.need, packed: one.packed, to_fill: one.to_fill,
          takes: one.takes.map { |take| taken(take) }
        }
      end

      def food(one)
        {
          food_id: @work.shelf.food_ids[one.food.key], name: one.food.name, need: size(one.need_g),
          packed: one.packed_g.zero? ? nil : size(one.packed_g), short: one.short_g.zero? ? nil : size(one.short_g),
          takes: one.takes.map { |take| taken(take) }
        }
      end

      def taken(take)
        stack = take.stack
        {
          lot_id: stack.id, name: stack.name(@work.food(stack.food_id)), place: stack.place,
          words: @work.loose_words(stack, take.amount), amount: Core::Decimal.print(take.amount),
          until: stack.usable_until&.iso8601
        }
      end

      def essential(one)
        {
          key: one.key, item: one.item, each: one.per == "person", often: one.often_forgotten,
          stands_in_for: one.stands_in_for, ticked: @trip.ticked.include?(one.key)
        }
      end

      def packed(stack)
        {
          lot_id: stack.id, name: stack.name(@work.food(stack.food_id)), place: stack.place,
          words: @work.loose_words(stack, stack.on_hand), on_hand: Core::Decimal.print(stack.on_hand),
          unit: stack.dimension == :count ? stack.noun || "piece" : Core::Unit.base(stack.dimension),
          until: stack.usable_until&.iso8601
        }
      end

      def size(grams) = @work.size(Core::Quantity.new(grams.round.to_r, :mass))
    end
  end
end
