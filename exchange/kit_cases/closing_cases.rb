# frozen_string_literal: true

require_relative "../../core/kits/budget_steps"
require_relative "../../core/kits/checks"
require_relative "../../core/kits/closing"
require_relative "../../core/kits/gives"
require_relative "shelf_cases"

module NutShelf
  module Exchange
    module KitCases
      # How gaps are closed, and in what steps of a budget.
      class CloseCase < Reading
        # @return [Hash]
        def answer
          closed = Core::Kits::Closing.new(@case.table("gaps"), shelf: shelf, offers: offers).call
          steps = Core::Kits::BudgetSteps.new(closed, per_day: @case.table("per_day"), days: @case.whole("days"))
          {
            shelf: closed.fetched.to_h { |stack, count| [stack.id, count] },
            buy: closed.bought.map { |one| { **parts(one.offer), count: one.count, for: one.for } },
            cost_minor: closed.cost_minor, order: steps.order.map { |one| name(one) },
            steps: steps.call(@case["budget"] ? @case.money("budget") : 0)
              .map { |step| { buy: step.offers.map { |one| name(one) }, left_minor: step.left_minor } },
            left: closed.left.to_h { |line, gap| [line, self.class.plain(ROUND.up(gap, SHOWN.places(line)))] }
          }
        end

        private

        def gives = @gives ||= Core::Kits::Gives.new(catalog, figures, eaters: [])

        def shelf
          reach = @case.day("must_reach")
          stacks("shelf").select { |one| reach.nil? || one.reaches?(reach) }.map { |one| gives.of(one) }
        end

        def offers
          @case.list("offers").map do |one|
            pack = stack(one).with(id: one["pack"], packs: 1)
            Core::Kits::Offer.new(
              given: gives.of(pack), price_minor: one.money("price"), max: one["max"] && one.whole("max")
            )
          end
        end

        def parts(offer) = { food: offer.food.key, pack: offer.given.stack.id }

        def name(offer) = parts(offer).values.join(" ")
      end

      # What a kit is checked for.
      class ChecksCase < Reading
        # @return [Hash]
        def answer
          eaters = people("eaters")
          gives = Core::Kits::Gives.new(catalog, figures, eaters: eaters)
          found = Core::Kits::Checks.new(
            figures, eaters: eaters, days: @case.whole("days"), hot_drinks: yes("hot_drinks"),
            fuel_row: @case["fuel_row"] || "fuel-gas-canister-mild",
            canister: @case["canister"] && @case.positive("canister")
          ).call(stacks.map { |one| gives.of(one) })
          shown(found).transform_values { |value| value.is_a?(Numeric) ? self.class.plain(value) : value }
        end

        private

        def shown(found)
          {
            heat_l: ROUND.up(found.heat_l, 2), fuel: ROUND.up(found.fuel), canisters: found.canisters,
            cook_water_l: ROUND.up(found.cook_water_l, 2), sodium_mg: ROUND.up(found.sodium_mg), salty: found.salty,
            one_sided: found.one_sided, water_kept_percent: ROUND.down(found.water_kept * 100),
            water_apart: found.water_apart
          }
        end
      end
    end
  end
end
