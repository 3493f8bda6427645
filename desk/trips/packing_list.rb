# frozen_string_literal: true

require_relative "../../core/trips/packing"
require_relative "../../core/value"
require_relative "balance"

module NutShelf
  module Desk
    module Trips
      # What goes along, line by line with the stacks it comes from: bags that are filled already, food by the gram or
      # by the pack, what is packed, what has to be filled or got first, and what people forget.
      class PackingList
        # So much of a stack, in its own units; `grams` of it. Frozen.
        Take = Core::Value.of(:stack, :amount, :grams)
        # A food: grams it takes, what is packed, what is taken from where, what is not there. Frozen.
        Line = Core::Value.of(:food, :need_g, :packed_g, :short_g, takes: [].freeze)
        # A bag of the tables: how many it takes, packed, there to be packed, and to be filled first. Frozen.
        Bags = Core::Value.of(:assembly, :need, :packed, :to_fill, takes: [].freeze)

        # @param work [UnitOfWork]
        # @param book [TripBook]
        def initialize(work, book)
          @work = work
          @book = book
        end

        # @return [Array<Bags>]
        def bags
          @bags ||= cells.select(&:bag?).group_by(&:assembly).map do |assembly, list|
            need = list.sum(&:bags)
            packed = packed_stacks.select { |stack| of?(stack, assembly) }.sum(0r, &:on_hand).to_i
            takes = from_house(assembly, [need - packed, 0].max, list.map(&:day).max)
            there = takes.sum(0r, &:amount).to_i
            Bags.new(assembly: assembly, need: need, packed: packed, takes: takes,
              to_fill: [need - packed - there, 0].max)
          end.sort_by { |one| one.assembly.name }
        end

        # @return [Array<Line>]
        def foods
          @foods ||= needs.map { |food, list| line(food, list) }.sort_by { |one| one.food.name }
        end

        # @return [Array<Core::Essential>] what people forget, as far as this trip needs it
        def essentials
          @book.catalog.trips.essentials.select { |one| needed?(one.needed_when) }
        end

        # Stacks that are set apart for the trip.
        # @return [Array<Core::Stack>]
        def packed_stacks
          @packed_stacks ||= begin
            rows = @work.house.reservations.of_trip(@book.trip.id)
            @work.shelf.stacks.values_at(*rows.map(&:lot_id).uniq).compact
          end
        end

        private

        def cells = @cells ||= @book.entries.filter_map(&:cell)

        # A bag of its table or of the same with something more.
        def of?(stack, assembly) = "#{stack.food_key}-".start_with?("bag-#{assembly.key}-")

        def from_house(assembly, count, last_on)
          stacks = @book.shelf.stacks.each_value.select do |stack|
            of?(stack, assembly) && stack.free.positive? && stack.eligible?(last_on)
          end
          stacks.sort_by { |stack| [stack.usable_until&.jd || Float::INFINITY, stack.id] }.filter_map do |stack|
            part = [stack.free, count].min
            count -= part
            Take.new(stack: stack, amount: part, grams: 0r) if part.positive?
          end
        end

        # Grams as drawn, of all that is no bag.
        def needs
          cells.reject(&:bag?).each_with_object({}) do |cell, list|
            cell.foods(@book.catalog).each do |food, grams|
              next if food.food_group == "water"

              day, meal = cell.drawn_at
              need = Core::Trips::MealNeed.new(day: day, meal: meal, grams: grams / food.edible_yield)
              (list[food] ||= []) << need
            end
          end
        end

        def line(food, needs)
          packed = packed_stacks.select { |stack| stack.food_key == food.key }.sum(0r) { |one| weight(one) }
          open = without(needs, packed)
          sealed = food.opened_where != "cupboard"
          found = Core::Trips::Packing.new(stacks(food), sealed: sealed).call(open)
          takes = found.flat_map { |one| one.picks.to_a }.group_by(&:first).map do |id, pairs|
            take(@book.shelf.stack(id), pairs.sum(0r, &:last))
          end
          Line.new(food: food, need_g: needs.sum(0r, &:grams), packed_g: packed, takes: takes,
            short_g: found.sum(0r, &:short_g))
        end

        # What is packed is eaten first.
        def without(needs, packed)
          needs.sort_by { |need| [need.day, Core::Trips::Packing::MEALS.index(need.meal)] }.map do |need|
            part = [need.grams, packed].min
            packed -= part
            need.with(grams: need.grams - part)
          end
        end

        def stacks(food)
          @book.shelf.of(food.key).select { |one| one.eligible?(@work.today) && one.amount.positive? }.map do |one|
            Core::Trips::PackStack.new(
              id: one.id, grams: one.amount, pack_g: one.pack, good_until: one.usable_until, open: one.open
            )
          end
        end

        def take(stack, grams)
          units = (grams / stack.grams_per_unit).round(6)
          Take.new(stack: stack, amount: [units, stack.free].min, grams: grams)
        end

        def weight(stack) = stack.grams_per_unit ? stack.on_hand * stack.grams_per_unit : 0r

        def needed?(whom)
          case whom
          when "cooks" then cells.any?(&:heated?)
          when "tins" then !@book.trip.no_tins
          when "untreated" then @book.trip.sources.any?
          when "meat" then foods.any? { |one| one.food.aisle == "Meat and fish" }
          when "cold" then @book.trip.cold != "none"
          else true
          end
        end
      end
    end
  end
end
