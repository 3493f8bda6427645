# frozen_string_literal: true

require_relative "../../core/planning/proposal"
require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/hand_words"
require_relative "../../core/value"

module NutShelf
  module Desk
    # A reckoned line as it is written on the list: which packs, what they cost, and why, for when. What is shown at
    # home and what is taken along to the shop are the same words.
    class WrittenLine
      # As the columns of a line have them: `amount` of what is needed in base units of `dimension`; `packs`:
      # [{"amount", "dimension", "count", "price_minor", "basis", "on", "shop_id", "before_minor"}]; `reasons`:
      # [{"kind", ...}] of kinds meal, habit, wanted and level. Frozen.
      Written = Core::Value.of(:food_id, :text, :aisle, :amount, :dimension, :packs, :reasons, :cost_minor, :estimated)

      # @param work [UnitOfWork]
      # @param list [ShoppingList]
      def initialize(work, list)
        @work = work
        @list = list
      end

      # @param line [ShoppingList::Line]
      # @param gets [Array<Core::Get>] that are bought together
      # @return [Written]
      def of(line, gets = now(line))
        need = counted(line, gets.sum(0r, &:grams))
        packs = gets.flat_map { |get| get.bought.packs }.group_by(&:first).map { |pack, list| [pack, list.sum(&:last)] }
        Written.new(
          food_id: line.food_id, text: line.food.name, aisle: line.food.aisle,
          amount: need.amount.positive? ? need.amount : nil, dimension: (need.dimension.to_s if need.amount.positive?),
          packs: packs.map { |pack, count| pack(pack, count) }, reasons: reasons(line, gets),
          cost_minor: gets.sum { |get| get.bought.price_minor }, estimated: gets.any? { |get| get.bought.estimated }
        )
      end

      # @param line [ShoppingList::Line]
      # @return [Array<Core::Get>] of the coming trip, and what is wanted before it
      def now(line) = line.gets.select { |get| get.on <= @list.trips.first }

      # @param line [ShoppingList::Line]
      # @return [Array<Core::Get>] of the trips after it
      def later(line) = line.gets - now(line)

      # @param line [ShoppingList::Line]
      # @param grams [Rational]
      # @return [String] as hands say it
      def words(line, grams) = @work.amount(counted(line, grams))

      private

      def counted(line, grams)
        return Core::Quantity.new(grams, line.food.dimension) unless line.weighed

        Core::Proposal.need(Core::HandWords.counted(grams, line.food), line.food)
      end

      def pack(pack, count)
        {
          "amount" => Core::Decimal.print(pack.quantity.amount), "dimension" => pack.quantity.dimension.to_s,
          "count" => count, "price_minor" => pack.price_minor, "basis" => pack.basis, "on" => pack.on&.iso8601,
          "shop_id" => pack.shop_id, "before_minor" => pack.before_minor
        }
      end

      def reasons(line, gets)
        [
          *gets.flat_map { |get| get.meals.map { |one| meal(line, one) } }, *besides(line, gets, :habit),
          *besides(line, gets, :wanted), *(line.level ? [{ "kind" => "level", "level" => line.level }] : [])
        ]
      end

      def meal(line, demand)
        {
          "kind" => "meal", "meal_id" => demand.meal, "name" => @list.plan.name_of(coming.fetch(demand.meal)),
          "on" => demand.on.iso8601, "amount" => words(line, demand.grams)
        }
      end

      def besides(line, gets, kind)
        grams = gets.sum(0r, &kind)
        grams.positive? ? [{ "kind" => kind.to_s, "amount" => words(line, grams) }] : []
      end

      def coming = @coming ||= @list.plan.coming.to_h { |meal| [meal.id, meal] }
    end
  end
end
