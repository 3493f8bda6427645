# frozen_string_literal: true

require_relative "../../core/quantity/money"
require_relative "../../exchange/papers/paper"
require_relative "../views/list_view"

module NutShelf
  module Api
    module Papers
      # The shopping list on paper, by aisle, with a box to tick before each line; also as plain lines and as rows.
      class ListPaper
        BOX = "[ ]"

        # @param work [Desk::UnitOfWork]
        # @param days [Integer, nil] see ListView
        # @param shop_id [Integer, nil]
        def initialize(work, days: nil, shop_id: nil)
          @work = work
          @list = ListView.new(work, days: days, shop_id: shop_id).call
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: "#{@work.household.name}: shopping list", subtitle: subtitle, back: "/shop",
            parts: aisles.map { |aisle, items| part(aisle, items) }
          )
        end

        # @return [String] a line each, aisles as headings
        def text
          aisles.map { |aisle, items| "#{aisle}\n#{items.map { |item| "#{BOX} #{words(item)}\n" }.join}" }.join("\n")
        end

        COLUMNS = ["aisle", "what", "how much", "packs", "price", "in the basket", "why", "note"].freeze

        # @return [Array<Array>] a row each under COLUMNS, money with two decimals
        def rows
          aisles.flat_map { |aisle, items| items.map { |item| row(aisle, item) } }
        end

        private

        def aisles = @list[:aisles].map { |aisle| aisle.values_at(:aisle, :items) }

        def subtitle
          trips = @list[:trips]
          last = trips[:by_days] && trips[:next] ? "the next trip on #{day(trips[:next])}" : day(trips[:to])
          "#{day(trips[:this])}, up to #{last}: #{money(@list[:cost_minor])} #{@work.household.currency}"
        end

        def day(text) = Date.iso8601(text).strftime("%a %-d %b")

        def money(minor) = minor ? Core::Money.plain(minor) : ""

        def part(aisle, items)
          Exchange::Papers::Table.new(
            heading: aisle, columns: ["", "", "", ""], shares: [1, 6, 7, 2],
            rows: items.map { |item| [BOX, words(item), why(item), money(item[:cost_minor])] }
          )
        end

        def words(item)
          return "#{packs(item)} #{item[:text]}" if item[:packs].any?

          item[:source] == "list" && item[:amount] ? "#{item[:amount]} #{item[:text]}" : item[:text]
        end

        # What comes by the piece is counted.
        def packs(item)
          item[:packs].map { |one| one.values_at(:count, :size) }
            .map { |count, size| size == "1" ? count : "#{count} x #{size}" }
            .join(" + ")
        end

        def why(item)
          meals = item[:reasons].select { |one| one["kind"] == "meal" }
          meals.map { |one| "#{one["name"]}, #{day(one["on"])}" }.uniq.join("; ")
        end

        def row(aisle, item)
          [aisle, item[:text], item[:amount], packs(item), money(item[:cost_minor]),
           item[:status] == "ticked" ? "yes" : "", why(item), item[:note]]
        end
      end
    end
  end
end
