# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/bag_dates"
require_relative "../bench/bag_recipe"
require_relative "../bench/bag_stacks"
require_relative "../bench/bags_told"
require_relative "../own_food"
require_relative "../plan"
require_relative "../refusal"
require_relative "../taking"

module NutShelf
  module Desk
    # Bags of several foods, as many as were asked for or as the shelf gives: what ends first goes in first, every part
    # counts as opened that day, each bag has its share of the cost and remembers what went into it.
    class AssembleBags < Act
      # What was made of what.
      #   @return [Core::Bags::Made]
      attr_reader :made

      # @param input [Hash] see perform
      # @return [Hash] what the act would do, with :bags
      def foresee(input)
        seen = super
        { **seen, bags: Bench::BagsTold.new(work, @bag, made, input[:count]).call(@costs) }
      end

      private

      # @param input [Hash] what Bench::BagRecipe takes, :count bags, :empty bags on hand or nil, :place_id where they
      #   go, :low_air whether they are closed without air, :mixed whether all is mixed in one bowl first
      def perform(input)
        @bag = Bench::BagRecipe.new(work, input)
        @low_air = input[:low_air] == true
        @place = work.place_in_use(input[:place_id])
        @made = reckon(input)
        refuse_none(input)
        written = entry("assemble_bags", words(input))
        costs(written)
        lots = bags(written)
        done(written, lot_id: lots.first.id, lot_ids: lots.map(&:id), bags: made.makes)
      end

      def reckon(input)
        stacks = Bench::BagStacks.new(work, Plan.new(work).shelf)
        found = stacks.call(@bag.parts.reject { |part| part.food.key == Core::Shelf::TAP })
        dates = Core::Bags::PartDate.new(work.catalog, work.policy, place: @place.kind, low_air: @low_air)
        Core::Bags::Making.new(dates, @bag.parts.reject { |part| part.food.key == Core::Shelf::TAP }, found)
          .call(input[:count], on: work.on, bags: input[:empty], mixed: input[:mixed] == true)
      rescue Core::Bags::Unpackable => e
        raise Refusal.of(:not_without_air, at: "/low_air", words: e.message.delete_suffix("."))
      end

      def refuse_none(input)
        return if made.makes.positive?

        raise Refusal.of(:no_bag_possible, at: "/count",
          words: Bench::BagsTold.new(work, @bag, made, input[:count]).why)
      end

      def words(input)
        asked = input[:count] > made.makes ? " of #{input[:count]}" : ""
        "Made #{made.makes}#{asked} #{input[:count] == 1 ? "bag" : "bags"}: #{@bag.name}"
      end

      # What the stacks really gave up, shared out over the bags to the cent.
      def costs(written)
        @rows = work.house.lots.lock(made.picks.map { |pick| pick.stack.id }.sort)
        @estimated = false
        taking = Taking.new(work, written)
        value = made.picks.sum { |pick| take(taking, pick) }
        @costs = Core::Money.split(value, made.makes).sort
      end

      def take(taking, pick)
        lot = @rows.fetch(pick.stack.id)
        return 0 if lot.level

        @estimated ||= lot.value_estimated
        taking.take(lot, units(lot, pick.grams), "cooked")
      end

      # In the stack's own units; never more than is there.
      def units(lot, grams)
        [(grams / grams_per_unit(lot)).round(6), lot.on_hand].min
      end

      def grams_per_unit(lot) = work.shelf.stacks.fetch(lot.id).grams_per_unit

      def bags(written)
        dates = Bench::BagDates.new(work, low_air: @low_air)
        food_id = food(written)
        known = Hash.new { |hash, stacks| hash[stacks] = dates.call(stacks) }
        made.bags.each_with_index.group_by { |bag, at| [@costs.fetch(at), known[bag.takes.keys]] }
          .map { |(cost, until_when), list| stack(written, food_id, cost, until_when, list.map(&:first)) }
      end

      def stack(written, food_id, cost, dates, list)
        lot = written.new_lot(
          food_id: food_id, place_id: @place.id, label: @bag.name, directions: @bag.directions, dimension: "count",
          noun: "bag", situation: "bagged", made_on: work.on, value_estimated: @estimated,
          history: [work.happening("bagged", bag: Bench::BagDates.told(dates))]
        )
        went_in(list).each { |id, amount| written.came_of(lot, @rows.fetch(id), amount, "cooked") }
        written.move(lot, list.size.to_r, cost * list.size, "made")
      end

      def went_in(list)
        takes = list.flat_map { |bag| bag.takes.to_a }.group_by { |one, _| one.id }
        takes.filter_map do |id, pairs|
          lot = @rows.fetch(id)
          [id, (pairs.sum(0r, &:last) / grams_per_unit(lot)).round(6)] unless lot.level
        end
      end

      def food(written)
        OwnFood.ensure(
          work, written,
          key: @bag.key, name: @bag.food_name, allergens: @bag.sums.allergens, class_key: @bag.class_key,
          aisle: "Home leftovers", food_group: "protein", dimension: "count"
        )
      end
    end
  end
end
