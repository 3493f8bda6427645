# frozen_string_literal: true

require_relative "../desk/kits/closing_book"
require_relative "household"

module NutShelf
  module Demo
    # The kit of Sallow House: a week for five people, one without peanut, and a cat; closed by its own reckoning in
    # autumn, but for one thing. Food stands in the box in the hall, water under the stairs.
    class FerryBox
      DAY = Date.new(2026, 11, 23)
      # What nobody got round to.
      LEFT_OPEN = "drinks"
      # Months ahead that shops' packs are dated, in turn; the shortest is due at the refresh in December.
      MONTHS = [14, 26, 5, 32, 20, 11].freeze

      # @param act [#call] name, who, input
      # @param at_work [#call] takes a block with a unit of work
      def initialize(act:, at_work:)
        @act = act
        @at_work = at_work
      end

      # @param place_id [Integer] of the box in the hall
      # @return [void]
      def call(place_id)
        @act.call(:KeepPet, "ines", Household::CAT)
        kit = @act.call(:SetKit, "tomas", Household::KIT)["kit_id"]
        water = @act.call(:AddPlace, "tomas", Household::WATER)["place_id"]
        [place_id, water].each { |id| @act.call(:ChangePlace, "tomas", { place_id: id, kit_id: kit }) }
        bought(kit).each_with_index do |one, at|
          put_away(one, one[1].food.food_group == "water" ? water : place_id, at)
        end
      end

      private

      def bought(kit)
        @at_work.call do |work|
          book = Desk::Kits::KitBook.new(work, work.house.kits.find(kit))
          Desk::Kits::ClosingBook.new(work, book, own_shelf: false).closed.bought.reject { |one| one.for == LEFT_OPEN }
            .map { |one| [book.stocks.food_id(one.offer.food.key), one.offer, one.count] }
        end
      end

      def put_away((food_id, offer, count), place_id, turn)
        pack = offer.given.stack.pack
        unit = { mass: "g", volume: "ml", count: "piece" }.fetch(pack.dimension)
        @act.call(:PutAway, %w[ines tomas][turn % 2], {
          food_id: food_id, place_id: place_id, count: count.to_s, amount: pack.amount.to_s, unit: unit,
          printed_on: (Household::TODAY >> MONTHS[turn % MONTHS.size]).iso8601, printed_kind: "best_before",
          price_minor: offer.price_minor * count
        })
      end
    end
  end
end
