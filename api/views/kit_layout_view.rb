# frozen_string_literal: true

require_relative "../../desk/kits/laying_out"
require_relative "kit_words"

module NutShelf
  module Api
    # A kit's menu and its boxes, as JSON.
    class KitLayoutView
      # @param work [Desk::UnitOfWork]
      # @param kit [Store::Rows::Kit]
      def initialize(work, kit)
        @work = work
        @laid = Desk::Kits::LayingOut.new(work, Desk::Kits::KitBook.new(work, kit))
        @kit = kit
      end

      # @return [Hash]
      def menu
        menu = @laid.menu
        {
          days: menu.days.each_with_index.map { |kcal, at| day(menu, kcal, at + 1) },
          left: foods(menu.left), heat_l: up(menu.heat_l), cook_water_l: up(menu.cook_water_l)
        }
      end

      # @return [Hash]
      def boxes
        dealt = @laid.dealt
        {
          boxes: dealt.boxes.each_with_index.map { |box, at| box(box, at + 1) }, carriers: @kit.carriers,
          carry_trips: @laid.carry_trips, loose: @laid.loose.map { |page| loose(page) },
          left_out: dealt.left_out.map { |one| name(one.id) }.uniq,
          kept: dealt.kept.map { |line, share| kept(line, share, dealt.spread_ok.fetch(line)) }
        }
      end

      private

      def day(menu, kcal, number)
        {
          day: number, kcal: kcal.floor, percent: menu.need.zero? ? 100 : (kcal * 100 / menu.need).floor,
          meals: menu.meals.select { |meal| meal.day == number }.map do |meal|
            { meal: meal.meal, kcal: meal.kcal.floor, food: eaten(meal.grams),
              nothing_for: meal.nothing_for.map(&:name) }
          end
        }
      end

      def eaten(grams)
        grams.sort_by { |food, _| food.name }.map do |food, amount|
          {
            food_id: @laid.book.stocks.food_id(food.key), grams: Core::Decimal.print(amount.floor(6)),
            name: food.name, amount: @work.amount(Core::Quantity.new(amount.floor.to_r, :mass))
          }
        end
      end

      def foods(grams)
        grams.sort_by { |food, _| food.name }.map do |food, amount|
          { name: food.name, amount: @work.amount(Core::Quantity.new(amount.floor.to_r, :mass)) }
        end
      end

      def box(box, number)
        {
          number: number, place_id: place(number), holds: Desk::Kits::Stocks.packs_in(@work, place(number)),
          kg: KitWords.plain(Core::Kits::Rounding.up(box.gross_g / 1000, 1)),
          fill_percent: (box.box_ml * 100 / @kit.box_ml).ceil, opener: box.opener?, glass: box.glass_g.positive?,
          packs: box.counts.map { |id, count| packed(id, count) }
            .sort_by { |one| [one[:name], one[:lot_id]] }
        }
      end

      def loose(page)
        id = page.stock.supply.id
        { lot_id: id, name: name(id), count: page.stock.supply.packs, pack: pack(id), place: page.stock.stack.place }
      end

      def place(number) = @laid.boxes[number]&.id

      def packed(id, count)
        { lot_id: id, name: name(id), count: count, pack: pack(id), in: !@laid.box_of(@laid.page(id)).nil? }
      end

      def name(id) = @laid.page(id).stock.stack.name(@laid.page(id).stock.supply.food)

      def pack(id) = @work.size(@laid.page(id).stock.supply.pack)

      def kept(line, share, fair)
        { label: line == "other" ? "Other" : KitWords.line(line), percent: (share * 100).floor, well_spread: fair }
      end

      def up(number) = KitWords.plain(Core::Kits::Rounding.up(number, 1))
    end
  end
end
