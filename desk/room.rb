# frozen_string_literal: true

require_relative "../core/dating/judge"
require_relative "../core/quantity/wording"
require_relative "../store/house"
require_relative "envelope"

module NutShelf
  module Desk
    # The household during one transaction: its rows, its rules and its day.
    class Room
      attr_reader :house, :office, :caller, :envelope

      # @param envelope [Envelope] of the act that is being done here
      def initialize(office, caller, db, envelope: Envelope::NONE)
        @office = office
        @caller = caller
        @envelope = envelope
        @house = Store::House.new(db, caller.household_id)
      end

      # @return [Room] the same room, read anew after its rules or places changed
      def fresh = Room.new(office, caller, house.db, envelope: envelope)

      def household = @household ||= house.household.row

      def today = @today ||= office.clock.today(household[:time_zone])

      # The day what is done here counts for: today, or the day a late letter was written.
      # @return [Date]
      # @raise [Invalid, Conflict] for a day that cannot be
      def on = @on ||= envelope.day(today)

      # Whether it comes in later than it was done.
      def late? = envelope.held

      # @return [Array<String>] what a late act could not do any more, in plain words
      def unsettled = @unsettled ||= []

      # What is asked for of a stack; of a late act only what is still there, which is said.
      # @param lot [Hash] locked stack
      # @param wanted [Rational] base units
      # @return [Rational]
      def still_there(lot, wanted)
        there = lot[:on_hand].to_r
        return wanted unless late? && there.positive? && wanted > there

        unsettled << "Only #{part_words(lot, there)} of #{part_words(lot, wanted)} was still there."
        there
      end

      # Its place among what was done on that day.
      # @return [Integer] milliseconds
      def sequence = @sequence ||= envelope.order((Process.clock_gettime(Process::CLOCK_REALTIME) * 1000).to_i)

      # Something that happens to a stack by this act, as its story tells it.
      # @param kind [String] of Core::Event
      # @return [Hash{String => Object}]
      def happening(kind, **facts) = { "kind" => kind, "on" => on.iso8601, "seq" => sequence, **facts.compact.transform_keys(&:to_s) }

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

      # @return [Core::Measures] how this household measures
      def measures = @measures ||= Core::Measures.of(household[:settings].fetch("measures", "metric"))

      # @param quantity [Core::Quantity]
      # @return [String] as this household says it
      def amount(quantity) = measures.free(quantity)

      # @param quantity [Core::Quantity] one pack
      # @return [String] as it is printed on it
      def size(quantity) = measures.size(quantity)

      # How a part of a stack reads: "222 g", whether the pack is open or not.
      def part_words(lot, amount)
        wording(lot.to_h.merge(open: false, pack_amount: lot[:open] ? nil : lot[:pack_amount]), amount: amount)
      end

      # @param lot [Hash] a stack
      # @return [String] what it is drawn as: "tin"
      def mark(lot)
        row = food_row(lot[:food_id])
        office.marks.of(keys: row.values_at(:key, :reference_key), aisle: row[:aisle], noun: lot[:noun], wrapping: lot[:wrapping])
      end

      # @return [String] "222 g Beans, open"
      def named(lot, name, amount: lot[:on_hand]) = "#{part_words(lot, amount)} #{name}#{', open' if lot[:open]}"

      # What the reader of the amount sees: "3 x 400 g".
      def wording(lot, amount: lot[:on_hand])
        dimension = lot[:dimension].to_sym
        Core::Wording.stack(Core::Quantity.new(amount.to_r, dimension), pack: lot[:pack_amount] && Core::Quantity.new(lot[:pack_amount].to_r, dimension),
                                                                        noun: lot[:noun], open: lot[:open], measures: measures)
      end
    end
  end
end
