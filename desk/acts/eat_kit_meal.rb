# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/floor"
require_relative "../kits/keeping"
require_relative "../kits/kit_book"
require_relative "../refusal"
require_relative "../taking"

module NutShelf
  module Desk
    # A meal of a kit's menu is eaten: what it says is taken from the kit, what is open and what ends first before the
    # rest, and packs are opened for it. One act, one undo.
    class EatKitMeal < Act
      # Amounts are stored to a millionth.
      QUANTUM = 6
      # Part of one stack that is eaten: its amount in its own units. Frozen.
      Bite = Core::Value.of(:stock, :amount)

      private

      # @param input [Hash] :kit_id, :day and :meal as the menu has them, :foods as [{ food_id:, grams: (decimal text,
      #   of what is eaten) }]; :despite why, see Take
      def perform(input)
        @kit = house.kits.find(input[:kit_id])
        bites = input[:foods].each_with_index.flat_map { |asked, at| bites(asked, "/foods/#{at}") }
        raise Refusal.of(:nothing_left) if bites.empty?

        lots = house.lots.lock(bites.map { |bite| bite.stock.stack.id })
        work.in_the_dark.guard(lots.keys)
        despite = Kits::Floor.new(work).guard(leaving(bites), input[:despite], besides: @kit.id)
        eaten = entry("eat_kit_meal", "Ate the #{input[:meal]} meal of day #{input[:day]} from #{@kit.name}#{despite}")
        bites.each { |bite| take(eaten, lots.fetch(bite.stock.stack.id), bite.amount) }
        done(eaten, kit_id: @kit.id)
      end

      def leaving(bites) = bites.to_h { |bite| [bite.stock.stack.id, bite.amount] }

      # @return [Array<Bite>] what is open first, then what ends first
      # @raise [Conflict] when the kit no longer holds that much; what was noted without signal takes what is there
      def bites(asked, pointer)
        open = asked[:grams].to_r
        list = stocks.fetch(asked[:food_id], []).filter_map do |stock|
          grams = [open, grams(stock)].min
          open -= grams
          Bite.new(stock: stock, amount: amount(stock, grams)) if grams.positive?
        end
        refuse_short(asked[:food_id], open, pointer) if open.positive?
        list.select { |bite| bite.amount.positive? }
      end

      def refuse_short(food_id, open, pointer)
        name = work.food_row(food_id).name
        raise Refusal.of(:not_in_the_kit, at: pointer, food: name, kit: @kit.name) unless work.late?

        work.unsettled << "#{work.size(Core::Quantity.new(open, :mass))} of #{name} was not in #{@kit.name} any more."
      end

      def grams(stock) = stock.supply.pack_edible_g * stock.supply.packs

      def amount(stock, grams)
        unit = Kits::Stocks.unit(stock.stack)
        [(unit * grams / stock.supply.pack_edible_g).round(QUANTUM), unit * stock.supply.packs].min
      end

      # What of the kit is good today, by food.
      def stocks
        @stocks ||= Kits::KitBook.new(work, @kit).pages.map(&:stock).select { |stock| good?(stock) }
          .sort_by { |stock| order(stock) }.group_by { |stock| stock.stack.food_id }
      end

      def good?(stock)
        last = stock.stack.usable_until
        stock.supply.state == :good && (last.nil? || last >= work.today)
      end

      def order(stock) = [stock.stack.open ? 0 : 1, stock.stack.usable_until&.jd || Float::INFINITY, stock.stack.id]

      # What stays of a pack that is opened for it stays the kit's.
      def take(eaten, lot, amount)
        unit = lot.one_pack
        broken = lot.open || lot.pack_amount.nil? ? 0r : amount % unit
        release(eaten, lot, amount - broken + (broken.positive? ? unit : 0))
        taking = Taking.new(work, eaten)
        taking.take(lot, amount - broken, "eaten") if amount > broken
        return unless broken.positive?

        opened = taking.open_one(lot)
        eaten.draw(opened, broken, "eaten")
        keep(eaten, eaten.now(opened))
      end

      def release(eaten, lot, amount)
        kept = house.reservations.of_lot(lot.id, work.today).select { |row| row.kit_id == @kit.id }
        Kits::Keeping.release(work, eaten, lot, kept, amount)
      end

      def keep(eaten, rest)
        return if rest.gone? || @kit.school != "set_apart" || work.place(rest.place_id).kit_id == @kit.id

        Kits::Keeping.keep(eaten, @kit, rest, rest.on_hand)
      end
    end
  end
end
