# frozen_string_literal: true

require_relative "../core/dating/judge"
require_relative "../core/quantity/stack_words"
require_relative "../core/reference/household_food"
require_relative "../core/value"
require_relative "../store/house"
require_relative "bench/assemblies"
require_relative "envelope"
require_relative "outages/unsettled"
require_relative "shelf_loader"
require_relative "refusal"

module NutShelf
  module Desk
    # The household during one transaction: its rows, its rules and its day.
    class UnitOfWork
      attr_reader :house, :services, :caller, :envelope, :still

      # @param envelope [Envelope] of the act that is being done here
      # @param still [Boolean] whether all that is read here is of one moment (Database#still): then it may be kept
      def initialize(services, caller, db, envelope: Envelope::NONE, still: false)
        @still = still
        @services = services
        @caller = caller
        @envelope = envelope
        @house = Store::House.new(db, caller.household_id)
      end

      # @return [UnitOfWork] the same household, read anew after its rules or places changed
      def fresh = UnitOfWork.new(services, caller, house.db, envelope: envelope)

      # @return [Store::Rows::Household] as it was first read here or as the lock gave it
      def household = @household ||= house.household.row

      # Tells this what the household's row is now that nobody else can write.
      # @param row [Store::Rows::Household]
      def locked(row) = @household = row

      # Something that follows from what was written and nothing else, kept from one look to the next by the revisions
      # it rests on: two processes that keep it under one key keep the same.
      # @param name [Symbol]
      # @param topics [Array<Symbol>] see Store::Topics
      # @param beside [Object] what else it rests on
      # @yield makes it; frozen, and the same for everybody in the household
      def kept(name, *topics, beside: nil, &make)
        slot = [caller.household_id, name]
        mark = [*rests_on(topics), beside]
        still ? services.kept.keep(slot, mark, &make) : services.kept.known(slot, mark, &make)
      end

      # @return [Array] what the shelf's contents are known by, here and in every other process
      def shelf_key = [caller.household_id, *rests_on(%i[stock rules])]

      # @return [Date] in the household's time zone
      def today = @today ||= services.clock.today(household.time_zone)

      # The day what is done here counts for: today, or the day a late letter was written.
      # @return [Date]
      # @raise [Invalid, Conflict] for a day that cannot be
      def on = @on ||= envelope.day(today)

      # Whether it comes in later than it was done.
      def late? = envelope.held

      # @return [Array<String>] what a late act could not do any more, in plain words
      def unsettled = @unsettled ||= []

      # What is asked for of a stack; of a late act only what is still there, which is said.
      # @param lot [Store::Rows::Lot] locked
      # @param wanted [Rational] base units
      # @return [Rational]
      def still_there(lot, wanted)
        there = lot.on_hand
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
      def happening(kind, **facts)
        { "kind" => kind, "on" => on.iso8601, "seq" => sequence, **facts.compact.transform_keys(&:to_s) }
      end

      # @return [String] the name of whoever does it
      def person = @person ||= house.household.person(caller.account_id)

      # @return [Hash] who has something in the basket since when, as a line of the list keeps it
      def tick = { "account_id" => caller.account_id, "name" => person, "on" => on.iso8601 }

      # @return [Core::Policy]
      def policy = @policy ||= house.household.policy(household)

      # @return [Core::Catalog] with the household's own keeping times
      def catalog = @catalog ||= kept(:catalog, :rules) { services.catalog.with_own(house.rules.own) }

      # @return [Hash{String=>Core::Assembly}] bags of the tables, and the household's own, by key
      def assemblies = @assemblies ||= kept(:assemblies, :plan, :rules) { Bench::Assemblies.of(self) }

      # @return [Hash{Integer=>Core::Place}] those in use
      def places = @places ||= all_places.reject { |_, place| place.gone? }

      # @return [Core::Place, nil] where something can be frozen
      def freezer = places.each_value.find { |place| place.kind == "freezer" && !place.set_apart? }

      # @return [Hash{Integer=>Core::Place}] those that were taken away among them
      def all_places = @all_places ||= house.places.by_id

      # To be said when an act made a place that it goes on to use.
      # @return [void]
      def know_places = @all_places = @places = nil

      # @return [Core::Shelf] everything that is there, as every plan, list and question sees it
      def shelf
        @shelf ||= begin
          every_food
          kept(:shelf, :stock, :rules) { ShelfLoader.new(self).drawn(drawn_before) }.shelf
        end
      end

      # @return [Outages::Unsettled] what stood in a power cut nobody settled yet
      def in_the_dark = @in_the_dark ||= Outages::Unsettled.new(self)

      # @return [Hash{Integer=>Rational}] what is set apart of stacks today, in their own units
      def held = @held ||= house.reservations.held(today)

      # @return [Core::Openings] what becomes of a pack here once it is opened
      def openings = @openings ||= kept(:openings, :rules) { ShelfLoader.new(self).openings }

      # @param id [Integer]
      # @return [Core::Place] in use or not
      # @raise [Invalid]
      def place(id)
        all_places[id] ||
          raise(Refusal.of(:no_such_place, at: "/place_id"))
      end

      # A place things may be put into.
      # @raise [Invalid] when it was taken away, or never was
      def place_in_use(id, pointer: "/place_id")
        place = place(id)
        return place unless place.gone?

        raise Refusal.of(:place_gone, at: pointer, place: place.name)
      end

      # @return [Store::Rows::Food]
      # @raise [Store::Missing]
      def food_row(id)
        @food_rows ||= {}
        @food_rows[id] ||= house.foods.find(id)
      end

      # Fetches many foods at once, before a list asks for each.
      # @param ids [Array<Integer>]
      def know_foods(ids)
        @food_rows ||= {}
        missing = ids.uniq - @food_rows.keys - @foods.to_h.keys
        @food_rows.merge!(house.foods.by_id(missing)) if missing.any?
      end

      # @return [Hash{Integer=>Core::Food}] every food in use, by the household's id
      def every_food
        @foods =
          kept(:foods, :rules) do
            house.foods.all.to_h { |row| [row.id, Core::HouseholdFood.of(row, catalog)] }.freeze
          end.dup
      end

      # @param place_id [Integer, nil]
      # @param food_id [Integer, nil]
      # @param text [String, nil] of a name, whole or in part
      # @return [Array<Core::Stack>] first date first
      def stacks_like(place_id: nil, food_id: nil, text: nil)
        named = text && house.foods.holding(text).to_set
        shelf.stacks.each_value.select do |stack|
          (place_id.nil? || stack.place_id == place_id) && (food_id.nil? || stack.food_id == food_id) &&
            (named.nil? || named.include?(stack.food_id) || stack.label.downcase.include?(text.downcase))
        end
      end

      # @param place_ids [Array<Integer>] in walking order
      # @return [Array<Core::Stack>] what stands there, as a hand meets it
      def stacks_in(place_ids)
        found = ShelfLoader.new(self).of(house.lots.narrow_in(place_ids))
        found.sort_by { |stack| [place_ids.index(stack.place_id), *Core::Order.in_hand(stack, food(stack.food_id))] }
      end

      # @param ids [Array<Integer>]
      # @return [Array<Core::Stack>] those of them that ever were, first date first
      def stacks(ids) = ShelfLoader.new(self).of(house.lots.narrow_of(ids))

      # @return [Core::Food]
      def food(id)
        @foods ||= still ? every_food : {}
        @foods[id] ||= Core::HouseholdFood.of(food_row(id), catalog)
      end

      # @return [Array<Store::Rows::Person>] people who eat here
      def eaters = @eaters ||= house.household.people.select(&:eats)

      # @return [Boolean] whether somebody who eats here goes by the date only
      def strict_eaters? = eaters.any?(&:strict)

      # @return [Core::Measures] how this household measures
      def measures = @measures ||= Core::Measures.of(household.settings.fetch("measures", "metric"))

      # @param quantity [Core::Quantity]
      # @return [String] as this household says it
      def amount(quantity) = measures.free(quantity)

      # @param quantity [Core::Quantity] one pack
      # @return [String] as it is printed on it
      def size(quantity) = measures.size(quantity)

      # How a part of a stack reads: "222 g", whether the pack is open or not.
      def part_words(lot, amount)
        Core::StackWords.part(lot, amount, measures: measures)
      end

      # How much a hand takes, packs or not: "800 g", "2 jars".
      # @param stack [Core::Stack]
      # @param amount [Rational] in its own units
      # @return [String]
      def loose_words(stack, amount) = Core::StackWords.loose(stack, amount, measures: measures)

      # @param stack [#food_id, #noun, #wrapping]
      # @return [String] what it is drawn as: "tin"
      def mark(stack)
        food = food(stack.food_id)
        services.marks.of(keys: [food.key], aisle: food.aisle, noun: stack.noun, wrapping: stack.wrapping)
      end

      # @return [String] "222 g Beans, open"
      def named(lot, name, amount: lot.on_hand) = "#{part_words(lot, amount)} #{name}#{", open" if lot.open}"

      # What the reader of the amount sees: "3 x 400 g".
      def wording(lot, amount: nil) = Core::StackWords.of(lot, amount: amount || lot.on_hand, measures: measures)

      private

      # Of today, by the rules there are.
      def drawn_before
        today, _, rules = rests_on(%i[stock rules])
        services.kept.last([caller.household_id, :shelf]) do |mark|
          mark.values_at(0, 2) == [today, rules]
        end
      end

      # In the middle of an act the row is asked for anew: what this very act wrote has raised it.
      def rests_on(topics) = [today.jd, *Store::Topics.revisions(still ? household : house.household.row, topics)]
    end
  end
end
