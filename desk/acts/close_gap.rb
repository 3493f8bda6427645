# frozen_string_literal: true

require "securerandom"
require_relative "../../core/quantity/decimal"
require_relative "../act"
require_relative "../kits/closing_book"
require_relative "../kits/keeping"
require_relative "../kits/supply_book"
require_relative "../refusal"
require_relative "../shopping/line_facts"

module NutShelf
  module Desk
    # Closes what is missing in a kit: sets packs of the own shelf apart for it, and puts what is to be bought on the
    # list, all of it or the next step of the budget, with the day each must reach.
    class CloseGap < Act
      private

      # What closes it is worked out before anybody has to wait.
      def prepare(input)
        kit = house.kits.find(input[:kit_id])
        @book = Kits::ClosingBook.new(work, Kits::KitBook.new(work, kit), own_shelf: !input[:leave_shelf])
        @fetched = input[:fetch] ? @book.closed.fetched.transform_keys { |supply| @book.stock(supply).stack } : {}
        @bought = bought(input, kit)
        @supplies = input[:supplies] ? Kits::SupplyBook.new(work, @book.book).missing : []
      end

      # @param input [Hash] :kit_id, :fetch, :buy "none", "step" or "all", :supplies,
      #   :leave_shelf where nothing of the own shelf is counted on
      def perform(input)
        raise Refusal.of(:nothing_to_close) if @fetched.empty? && @bought.empty? && @supplies.empty?

        kit = house.records.lock("kit", input[:kit_id])
        closed = entry("close_gap", "For #{kit.name}: #{words}")
        @fetched.each { |stack, packs| set_apart(closed, kit, stack, packs) }
        @bought.each { |offer, count| write(closed, kit, offer, count) }
        @supplies.each { |row| write_supply(closed, kit, row) }
        done(closed, kit_id: kit.id, fetched: @fetched.values.sum, listed: @bought.values.sum + @supplies.size)
      end

      def bought(input, kit)
        case input[:buy]
        when "all" then @book.closed.bought.group_by(&:offer).transform_values { |list| list.sum(&:count) }
        when "step" then (@book.steps.call(kit.budget_minor).find { |one| one.offers.any? }&.offers || []).tally
        else {}
        end
      end

      def words
        said = { "from the own shelf" => @fetched, "on the list" => @bought }.reject { |_, counts| counts.empty? }
        things = @supplies.size == 1 ? "1 thing" : "#{@supplies.size} things"
        [*said.map { |where, counts| "#{packs(counts)} #{where}" },
         *("#{things} besides food on the list" if @supplies.any?)].join(", ")
      end

      def packs(counts) = counts.values.sum.then { |count| count == 1 ? "1 pack" : "#{count} packs" }

      # What is there may have been taken meanwhile; then no more than is free.
      def set_apart(closed, kit, stack, packs)
        lot = house.lots.lock_one(stack.id)
        free = lot.on_hand - work.held.fetch(lot.id, 0r)
        amount = packs * Kits::Stocks.unit(stack)
        raise Refusal.of(:only_free, left: work.part_words(lot, [free, 0r].max)) if amount > free

        Kits::Keeping.keep(closed, kit, lot, amount)
      end

      def write(closed, kit, offer, count)
        size = offer.given.stack.pack
        food_id = @book.book.stocks.food_id(offer.food.key)
        line(closed, kit, food_id, {
          amount: size.amount * count, dimension: size.dimension.to_s, cost_minor: offer.price_minor * count,
          estimated: offer.estimated, note: note, packs: [pack(offer, count)]
        })
      end

      def line(closed, kit, food_id, facts)
        closed.make("list_line", {
          ref: SecureRandom.hex(10), source: "own", account_id: work.caller.account_id, changed_seq: work.sequence,
          **LineFacts.new(work).of_food(food_id), **facts,
          reasons: [{ "kind" => "kit", "kit_id" => kit.id, "name" => kit.name }]
        })
      end

      # Shops sell such things in packs nobody knows here: so much of it, and what must be minded.
      def write_supply(closed, kit, row)
        line(closed, kit, @book.book.stocks.food_id(row.key), {
          amount: row.gap.to_r, dimension: row.need.unit == "ml" ? "volume" : "count", note: row.need.supply.note
        })
      end

      def note = "Good until #{Core::Words.day(@book.book.must_carry(work.today))} or later"

      def pack(offer, count)
        size = offer.given.stack.pack
        {
          "amount" => Core::Decimal.print(size.amount), "dimension" => size.dimension.to_s, "count" => count,
          "price_minor" => offer.price_minor, "basis" => offer.estimated ? "estimate" : "latest",
          "on" => nil, "shop_id" => nil, "before_minor" => nil
        }
      end
    end
  end
end
