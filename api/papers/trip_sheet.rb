# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../desk/trips/packing_list"
require_relative "../../desk/trips/trip_book"

module NutShelf
  module Api
    module Papers
      # A trip as a table for a spreadsheet: the meals by day, then what goes along.
      class TripSheet
        COLUMNS = ["part", "day", "meal", "what", "for", "grams", "kcal", "from", "good until", "remark"].freeze

        # @param work [Desk::UnitOfWork]
        # @param trip [Store::Rows::Trip]
        def initialize(work, trip)
          @work = work
          @book = Desk::Trips::TripBook.new(work, trip)
          @list = Desk::Trips::PackingList.new(work, @book)
        end

        # @return [Array<Array>] cells by COLUMNS
        def rows = [*meals, *bags, *foods, *essentials]

        private

        def meals
          @book.entries.select(&:cell).map do |one|
            cell = one.cell
            grams = cell.foods(@book.catalog).sum(0r) { |food, amount| amount / food.edible_yield }
            [
              "meal", cell.day.iso8601, cell.meal, @book.menu.name(one.choice), @book.party.size, grams.round,
              @book.kcal(cell).round, nil, nil, one.faults.map { |fault| @book.fault_words(fault) }.join("; ")
            ]
          end
        end

        def bags
          @list.bags.flat_map do |one|
            fill = one.to_fill.positive? ? "#{one.to_fill} to fill first" : ""
            head = ["bag", nil, one.assembly.meal, one.assembly.name, one.need, nil, nil, nil, nil, fill]
            [head, *one.takes.map { |take| taken("bag", one.assembly.name, take) }]
          end
        end

        def foods
          @list.foods.flat_map do |one|
            short = one.short_g.positive? ? "#{one.short_g.round} g to get first" : ""
            [["food", nil, nil, one.food.name, nil, one.need_g.round, nil, nil, nil, short],
             *one.takes.map { |take| taken("food", one.food.name, take) }]
          end
        end

        def taken(part, name, take)
          words = @work.loose_words(take.stack, take.amount)
          [part, nil, nil, name, nil, nil, nil, "#{words}, #{take.stack.place}", take.stack.usable_until&.iso8601, ""]
        end

        def essentials
          @list.essentials.map do |one|
            many = one.per == "person" ? @book.party.size : 1
            ["thing", nil, nil, one.item, many, nil, nil, nil, nil, one.often_forgotten ? "often forgotten" : ""]
          end
        end
      end
    end
  end
end
