# frozen_string_literal: true

require_relative "../../core/bags/contents"
require_relative "../../core/trips/coming_home"
require_relative "../../core/trips/learning"
require_relative "../../core/trips/packing"
require_relative "../../core/trips/standing_box"
require_relative "../../core/trips/weight"
require_relative "reading"

module NutShelf
  module Exchange
    module TripCases
      # What it all weighs.
      class WeightCase < Reading
        # @return [Hash]
        def answer
          cells = @case.list("cells").flat_map { |one| loads(one) }
          weighed = Core::Trips::Weight.new(catalog.trips, carriers).call(cells)
          {
            net_g: text(weighed.net_g), kcal: text(weighed.kcal), kcal_per_g: text(weighed.kcal_per_g, 2),
            tare_g: text(weighed.tare_g), kcal_per_g_packed: text(weighed.kcal_per_g_packed, 2),
            net_g_per_person_day: text(weighed.net_g / @case.positive("person_days")), bags_g: weighed.bags_g,
            bags_total_g: weighed.total_g
          }
        end

        private

        def carriers
          bags = @case.part("carriers") or return {}
          bags.fields.to_h { |bag| [bag, row(:packaging, bags[bag], "carriers")] }
        end

        def loads(one)
          return [load_of_bag(one, row(:assemblies, one["assembly"], "assembly"))] if one["assembly"]
          return [load(one, food(one["food"], one), number("g", one))] if one["food"]

          recipe = catalog.recipes.find { |found| found.key == one["recipe"] } ||
            one.bad("recipe", one["recipe"], "Use the key of a recipe.")
          share = number("servings", one) / recipe.servings
          Core::Bags::Contents.of(recipe.lines.reject(&:optional), catalog).parts.reject { |part| part.food.food_group == "water" }
            .map { |part| load(one, part.food, part.grams * share) }
        end

        def load(one, food, grams)
          inside = one.part("packaging")&.[](food.key)
          packs = one.part("packs")
          Core::Trips::Load.new(
            food: food, edible_g: grams, bag: bag_of(one), packs: packs&.[](food.key) ? packs.whole(food.key) : 1,
            packaging: inside && row(:packaging, inside)
          )
        end

        # @return [String, nil] one that is carried, so that nothing is left out of the sum by a slip
        def bag_of(one) = carriers.empty? ? one["bag"] : one.one_of_if("bag", carriers.keys)

        def load_of_bag(one, assembly)
          Core::Trips::BagLoad.new(
            parts: Core::Bags::Contents.of(assembly.lines, catalog).parts, bag: bag_of(one), count: one.whole("bags"),
            packaging: row(:packaging, assembly.packaging)
          )
        end
      end

      # A stack for each line of the list.
      class PackingCase < Reading
        # @return [Hash]
        def answer
          packing = Core::Trips::Packing.new(stacks, sealed: @case["carry"] == "sealed")
          lines = packing.call(needs)
          { lines: lines.map { |line| told(line) }, stays_home_g: packing.left.transform_values { |one| text(one, 6) } }
        end

        private

        def needs
          @case.list("needs").map do |one|
            Core::Trips::MealNeed.new(day: one.the_day("day"), meal: meal(one), grams: number("g", one))
          end
        end

        def stacks
          @case.list("stacks").map do |one|
            Core::Trips::PackStack.new(
              id: one.name("id"), grams: number("g", one), pack_g: one.amount("pack_g"),
              good_until: one.day("good_until"), open: one["open"] == true, set_apart: one["set_apart"] == true
            )
          end
        end

        def told(line)
          {
            day: line.day.iso8601, picks: line.picks.map { |id, grams| { stack: id, g: text(grams, 6) } },
            short_g: text(line.short_g, 6), over_g: text(line.over_g, 6)
          }
        end
      end

      # What comes home.
      class HomeCase < Reading
        # @return [Hash]
        def answer
          home = Core::Trips::ComingHome.new(
            catalog, policy, left_on: @case.the_day("left"), back_on: @case.the_day("back"),
            highest_c: @case["highest_c"] && signed("highest_c")
          )
          { items: @case.list("items").map { |one| told(one, home.of(item(one))) } }
        end

        private

        def item(one)
          Core::Trips::Returned.new(
            food: food(one["food"], one), printed_on: one.day("printed_on"),
            printed_kind: printed_kind(one), opened_on: one.day("opened_on"), since: one.day("since"),
            frozen_on: one.day("frozen_on"), thawed_on: one.day("thawed_on"),
            situation: situation(one), home_place: place(one, "home_place"),
            cold_kept: one["cold_kept"] == true
          )
        end

        def told(one, fate)
          {
            food: one["food"], fate: fate.fate.to_s, why: fate.why,
            used_percent: fate.used && text(fate.used * 100), good_until: fate.good_until&.iso8601, look: fate.look
          }.compact
        end
      end

      # What trips teach.
      class LearnCase < Reading
        # @return [Hash]
        def answer
          learning = Core::Trips::Learning.new(trips)
          burnt = @case.list("fuel").map { |one| [number("g", one), one.positive("litres")] }
          {
            eaten: learning.eaten.map { |one| text(one, 4) }, factor: text(learning.factor, 4),
            leave_out: learning.leave_out(foods_back),
            own_g_per_litre: learning.g_per_litre(burnt)&.then { |one| text(one, 1) }
          }
        end

        private

        def trips
          @case.list("trips").map do |one|
            Core::Trips::PastTrip.new(planned_kcal: one.positive("planned_kcal"), back_kcal: number("back_kcal", one))
          end
        end

        # @return [Array<Array<String>>] by trip
        def foods_back
          listed = @case["foods_back"] || []
          return listed if listed.is_a?(Array) && listed.all? { |one| one.is_a?(Array) && one.all?(String) }

          @case.bad("foods_back", listed, "List the foods of each trip, [[...], ...].")
        end
      end

      # A box that stands in the car.
      class BoxCase < Reading
        # @return [Hash]
        def answer
          box = Core::Trips::StandingBox.new(
            refresh_on: @case.the_day("refresh_on"), margin_days: count("margin_days", usual: 30),
            high_c: temp("high_c"), low_c: temp("low_c")
          )
          {
            must_be_good_until: box.must_reach.iso8601, half_year_check: box.half_year_check.iso8601,
            heat_factor: text(box.heat_factor, 1), lines: @case.list("lines").map { |one| told(box.call(line(one))) }
          }
        end

        private

        def temp(field) = @case[field] && signed(field)

        def line(one)
          shelf = @case.part("shelf")&.list(one["food"]) || []
          Core::Trips::BoxLine.new(
            food: food(one["food"], one), want: one.whole("want"), lots: one.list("lots").map { |lot| lot(lot) },
            shelf: shelf.map { |lot| lot(lot) }
          )
        end

        def lot(one)
          Core::Trips::BoxLot.new(
            id: one.name("id"), count: one.whole("n"), good_until: one.the_day("good_until"),
            in_since: one.day("in_since"), set_apart: one["set_apart"] == true
          )
        end

        def told(line)
          {
            food: line.food.key, stays: line.stays,
            comes_out: line.out.map { |one| { stack: one.id, n: one.count, eat_by: one.eat_by.iso8601 } },
            from_shelf: line.in.map { |id, number| { stack: id, n: number } }, buy: line.buy,
            buy_best_before: line.buy_dated&.iso8601, will_freeze: line.will_freeze || nil
          }.compact
        end
      end
    end
  end
end
