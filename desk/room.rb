# frozen_string_literal: true

require_relative "../core/dating/judge"
require_relative "../core/quantity/wording"
require_relative "../store/house"

module NutShelf
  module Desk
    # The household during one transaction: its rows, its rules and its day.
    class Room
      attr_reader :house, :office, :caller

      def initialize(office, caller, db)
        @office = office
        @caller = caller
        @house = Store::House.new(db, caller.household_id)
      end

      # @return [Room] the same room, read anew after its rules or places changed
      def fresh = Room.new(office, caller, house.db)

      def household = @household ||= house.household.row

      def today = @today ||= office.clock.today(household[:time_zone])

      def policy = @policy ||= house.household.policy(household)

      def catalog = @catalog ||= office.catalog.with_own(house.rules.own)

      # @return [Hash] places in use by id
      def places = @places ||= all_places.reject { |_, row| row[:archived_at] }

      def all_places = @all_places ||= house.places.by_id

      def place(id)
        all_places[id] || raise(Invalid.new("There is no such place here.", code: "unknown_place", pointer: "/place_id", remedy: "Choose one of the household's places."))
      end

      # A place things may be put into.
      # @raise [Invalid] when it was taken away, or never was
      def place_in_use(id, pointer: "/place_id")
        place = place(id)
        return place unless place[:archived_at]

        raise Invalid.new("#{place[:name]} is not in use any more.", code: "unknown_place", pointer: pointer, remedy: "Choose another place.")
      end

      def food_row(id)
        @food_rows ||= {}
        @food_rows[id] ||= house.foods.find(id)
      end

      # Fetches many foods at once, before a list asks for each.
      # @param ids [Array<Integer>]
      def know_foods(ids)
        @food_rows ||= {}
        missing = ids.uniq - @food_rows.keys
        @food_rows.merge!(house.foods.by_id(missing)) if missing.any?
      end

      # @return [Core::Food]
      def food(id)
        @foods ||= {}
        @foods[id] ||= Store::Foods.value(food_row(id), catalog)
      end

      # @return [Array<Hash>] people who eat here
      def eaters = @eaters ||= house.household.people.select { |row| row[:eats] }

      # @return [Boolean] whether somebody who eats here goes by the date only
      def strict_eaters? = eaters.any? { |row| row[:strict] }

      # How a part of a stack reads: "222 g", whether the pack is open or not.
      def part_words(lot, amount)
        wording(lot.to_h.merge(open: false, pack_amount: lot[:open] ? nil : lot[:pack_amount]), amount: amount)
      end

      # What the reader of the amount sees: "3 x 400 g".
      def wording(lot, amount: lot[:on_hand])
        dimension = lot[:dimension].to_sym
        Core::Wording.stack(Core::Quantity.new(amount.to_r, dimension), pack: lot[:pack_amount] && Core::Quantity.new(lot[:pack_amount].to_r, dimension),
                                                                        noun: lot[:noun], open: lot[:open])
      end
    end
  end
end
