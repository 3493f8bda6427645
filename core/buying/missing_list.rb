# frozen_string_literal: true

require_relative "../planning/dish"
require_relative "../planning/weight"
require_relative "../value"

module NutShelf
  module Core
    # What the meals of the coming days ask for and the shelf does not have. Meals draw on one shelf in
    # the order of their days, so that no tin is promised twice.
    module MissingList
      # A planned meal: `id`, `on`, its `turn` on the day, `recipe`, `servings` (with those that are eaten later),
      # `diet` of those at the table (nil: of whoever is asked for), `choices` within the dish. Frozen.
      Planned = Value.of(:id, :on, :recipe, :servings, :diet, turn: 0, choices: {}.freeze)

      # A food to buy: grams missing in all, grams on the shelf that day, and for which meals as
      # [{meal:, grams:}]; `pack` (a Quantity) and
      # `pack_count` the proposal. Frozen.
      Item = Value.of(:food_key, :grams, :at_home, :reasons, :pack, :pack_count)

      module_function

      # @param dishes [Hash{Planned=>Dish}] as they were drawn
      # @param cursor [Cursor] before they were
      # @return [Array<Item>] what to buy for them
      def items(dishes, cursor)
        first_day = dishes.keys.map(&:on).min
        dishes
          .flat_map { |meal, dish| dish.missing.map { |line| [line.food_key, meal, line.missing] } }
          .group_by(&:first)
          .map { |key, list| item(key, list, cursor, first_day) }
      end

      # @param meals [Array<Planned>]
      # @param cursor [Cursor] left as it is
      # @param diet [Diet] of those who eat along
      # @return [Array(Array<Item>, Hash{id=>Dish})] what to buy, and each meal's dish
      def build(meals, cursor:, diet: Diet.new)
        dishes, = draw(meals, cursor: cursor, diet: diet)
        [items(dishes, cursor), dishes.transform_keys(&:id)]
      end

      # Meals draw one after the other, in the order of their days.
      # @return [Array(Hash{Planned=>Dish}, Cursor)] each meal's dish, and what all of them leave
      def draw(meals, cursor:, diet: Diet.new)
        book = cursor.dup
        dishes =
          meals.sort_by { |meal| [meal.on, meal.turn, meal.id] }.to_h { |meal| [meal, dish(meal, book, diet)] }
        [dishes, book]
      end

      # @param meal [Planned]
      # @param cursor [Cursor] drawn down by this
      # @param diet [Diet] of those who eat along where the meal says nothing
      # @return [Dish] as that meal has it
      def dish(meal, cursor, diet)
        Dish.plan(
          meal.recipe, servings: meal.servings, cursor: cursor, on: meal.on, diet: meal.diet || diet,
          choices: meal.choices
        )
      end

      # @return [Item] of one food: all that is missing of it, and what is there on the first meal's day
      def item(key, list, cursor, day)
        grams = list.sum(0r, &:last)
        pack, count = packs(cursor.foods.fetch(key), grams)
        Item.new(
          food_key: key,
          grams: grams,
          at_home: cursor.left(key, day),
          pack: pack,
          pack_count: count,
          reasons: list.map { |_, meal, part| { meal: meal.id, grams: part } }.freeze
        )
      end

      # What must be bought in whole packs for a need.
      # @param food [Food]
      # @param grams [Rational]
      # @return [Rational] grams in whole packs; the need itself where no usual pack is known
      def whole_grams(food, grams)
        pack, count = packs(food, grams)
        pack ? count * Weight.of_pack(food, pack) : grams
      end

      # The usual pack that leaves least over; the fewer packs when that is level.
      # @return [Array(Quantity, Integer), nil] the pack and how many
      def packs(food, grams)
        sizes =
          food.typical_packs.filter_map do |pack|
            Weight.of_pack(food, pack)&.then { |size| [pack, size] if size.positive? }
          end
        pack, count =
          sizes
            .map { |one, size| [one, (grams / size).ceil, ((grams / size).ceil * size) - grams] }
            .min_by { |_, many, over| [over, many] }
        pack && [pack, count]
      end
    end
  end
end
