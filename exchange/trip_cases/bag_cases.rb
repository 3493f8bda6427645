# frozen_string_literal: true

require_relative "../../core/bags/contents"
require_relative "../../core/bags/making"
require_relative "reading"

module NutShelf
  module Exchange
    module TripCases
      # What is in one bag.
      class AssemblyCase < Reading
        # @return [Hash]
        def answer
          sums = Core::Bags::Contents.of(parts, catalog, assembly: assembly).sums
          {
            net_g: text(sums.net_g, 1), gross_g: text(sums.gross_g, 1), kcal: text(sums.kcal),
            protein_g: text(sums.protein_g, 1), kcal_per_g: text(sums.kcal_per_g, 2), sodium_mg: text(sums.sodium_mg),
            water_ml: text(sums.water_ml), eaten_g: text(sums.eaten_g, 1), allergens: sums.allergens,
            fits_its_bag: sums.fits
          }
        end

        private

        def assembly = @assembly ||= row(:assemblies, @case["assembly"], "assembly")

        def parts
          without = @case.names("without")
          [*assembly.lines.reject { |line| without.include?(line.food_key) }, *lines(@case.list("add"))]
        end
      end

      # How many bags can be made.
      class MakeCase < Reading
        # @return [Hash]
        def answer
          made = making.call(
            @case.whole("want"), on: @case.the_day("on"), good_until: @case.day("good_until"),
            bags: @case["bags_on_hand"] && @case.whole("bags_on_hand"), mixed: @case["mixed"] == true
          )
          {
            can_make: made.can, limits: made.limits.map(&:key), makes: made.makes,
            missing_g: made.missing.to_h { |food, grams| [food.key, text(grams, 6)] },
            value: made.picks.sum(&:value_minor), picks: made.picks.map { |pick| told(pick) }, bags: bags(made)
          }
        end

        private

        def making
          dates = Core::Bags::PartDate.new(
            catalog, policy, place: place(@case),
            low_air: @case.one_of("closing", %w[airtight low_air], usual: "airtight") == "low_air"
          )
          Core::Bags::Making.new(dates, parts, stacks)
        end

        def parts
          given = @case["assembly"] ? row(:assemblies, @case["assembly"], "assembly").lines : lines(@case.list("lines"))
          Core::Bags::Contents.of(given, catalog).parts
        end

        def stacks
          shelf = @case.part("stacks") || @case.bad("stacks", nil, "List stacks by food, {food: [{...}]}.")
          shelf.fields.to_h { |key| [food(key, @case, "stacks"), shelf.list(key).map { |one| stack(key, one) }] }
        end

        def stack(key, one)
          Core::Bags::BagStack.new(
            id: one.name("id"), food: food(key), grams: number("g", one), value_minor: one.money("value"),
            printed_on: one.day("printed_on"), printed_kind: printed_kind(one),
            opened_on: one.day("opened_on"), frozen_on: one.day("frozen_on"), made_on: one.day("since"),
            situation: situation(one), place: place(one)
          )
        end

        def told(pick)
          { food: pick.stack.food.key, stack: pick.stack.id, g: text(pick.grams, 6), value: pick.value_minor }
        end

        def bags(made)
          made.bags.chunk_while { |one, other| one.with(takes: {}) == other.with(takes: {}) }.map do |list|
            bag = list.first
            { count: list.size, good_until: bag.until&.on&.iso8601, kind: bag.until&.kind&.to_s, cost: bag.cost_minor }
          end
        end
      end
    end
  end
end
