# frozen_string_literal: true

require_relative "../../core/trips/cold_kept"
require_relative "../../core/trips/energy"
require_relative "../../core/trips/faults"
require_relative "../../core/trips/fuel"
require_relative "../../core/trips/water"
require_relative "reading"

module NutShelf
  module Exchange
    module TripCases
      # Energy and protein by day.
      class EnergyCase < Reading
        # @return [Hash]
        def answer
          energy = Core::Trips::Energy.new(figures, people)
          targets = energy.days(days)
          {
            days: targets.map { |one| told(one) }, kcal: text(targets.sum(0r, &:kcal)),
            person_days: text(energy.person_days(days), 4),
            spare_kcal: text(energy.spare_kcal(count("spare_days", usual: 0)))
          }
        end

        private

        def people
          @case.list("people").map do |one|
            Core::Trips::Traveller.new(
              name: one["name"], group: group(one), kg: one.amount("kg"),
              figure: one.one_of("figure", %w[low usual high], usual: "usual").to_sym
            )
          end
        end

        def group(one)
          known = Core::Trips::Energy::AGE_PROTEIN.keys
          known.include?(one["group"]) ? one["group"] : one.bad("group", one["group"], "Use #{known.join(", ")}.")
        end

        def days
          @days ||= @case.list("days").map do |one|
            Core::Trips::TripDay.new(
              day: one.the_day("day"), effort: one.name("effort"), meals: one.names("meals", MEALS)
            )
          end
        end

        def told(one)
          {
            day: one.day.iso8601, share: text(one.share, 4), kcal: text(one.kcal),
            protein_g: one.protein_g && text(one.protein_g, 1)
          }
        end
      end

      # Until when food stays cold.
      class ColdCase < Reading
        # @return [Hash]
        def answer
          cold = Core::Trips::ColdKept.new(
            row(:cold, @case["cold"]), temp_c: signed("temp"), leaves: moment("leaves")
          )
          {
            hours: text(cold.hours, 2), cold_until: cold.until_at.strftime("%Y-%m-%dT%H:%M"),
            meals: @case.list("meals").map do |one|
              { day: one["day"], meal: one["meal"], allowed: cold.allows?(one.the_day("day"), meal(one)) }
            end
          }
        end
      end

      # What stands against the cells of a trip.
      class CheckCase < Reading
        # @return [Hash]
        def answer
          faults = Core::Trips::Faults.new(catalog, figures, policy, means)
          {
            cells: @case.list("cells").map do |one|
              cell = cell(one)
              found = faults.of(cell).map { |fault| words(fault) }
              { day: one["day"], meal: one["meal"], dish: cell.dish, faults: found }
            end
          }
        end

        private

        def words(fault) = fault.words.empty? ? fault.kind.to_s : "#{fault.kind}: #{fault.words}"

        def means
          trip = @case.part("trip") || @case.bad("trip", nil, "Say its gear, pots and cold, {...}.")
          Core::Trips::Means.new(
            gear: trip.names("gear"), pots: count("pots", trip, usual: 1), pot_ml: trip.positive("pot_ml"),
            no_tins: trip["no_tins"] == true, no_glass: trip["no_glass"] == true, avoid: trip.names("avoid"),
            minutes: trip.table("minutes"), cold: cold(trip)
          )
        end

        def cold(trip)
          Core::Trips::ColdKept.new(
            row(:cold, trip["cold"] || "none"), temp_c: signed("temp", trip), leaves: moment("leaves", trip)
          )
        end

        def cell(one)
          Core::Trips::Cell.new(
            day: one.the_day("day"), meal: meal(one), **dish(one), good_until: one.day("good_until"),
            leftover_hours: one.amount("leftover_of_hours_ago"), opened_earlier: one.names("opened_earlier")
          )
        end

        # @return [Hash] a dish for so many, or bags
        def dish(one)
          return { recipe: recipe(one), servings: one.positive("servings") } if one["recipe"]
          return { assembly: row(:assemblies, one["assembly"], "assembly"), bags: one.whole("bags") } if one["assembly"]

          one.bad("recipe", nil, "Say a recipe, or an assembly.")
        end

        def recipe(one)
          catalog.recipes.find { |found| found.key == one["recipe"] } ||
            one.bad("recipe", one["recipe"], "Use the key of a recipe.")
        end
      end

      # Drinking and cooking water.
      class WaterCase < Reading
        SLOTS = Core::Trips::Water::SHARES.keys.freeze

        # @return [Hash]
        def answer
          slots = water.slots(days)
          stretches = water.stretches(slots, @case.names("sources"))
          largest = stretches.max_by(&:carry_l)
          hold = @case.amounts("containers_ml").map { |one| one / 1000 }
          {
            slots: slots.to_h { |slot| [slot.name, text(slot.litres, 2)] },
            total_l: up(slots.sum(0r, &:litres), 1), stretches: stretches.map { |one| told(one) },
            largest: told(largest).slice(:from, :carry_l), containers_hold_l: text(hold.sum(0r), 3),
            enough: hold.sum(0r) >= largest.carry_l, two_containers: water.two_containers?(largest, hold)
          }
        end

        private

        def water
          known = catalog.targets.keys.grep(/\Awater-/)
          rows = @case.list("people").map { |one| one.one_of("water", known, usual: "water-drinking-adult") }
          @water ||= Core::Trips::Water.new(figures, rows)
        end

        def hours(one)
          found = number("hours", one)
          found <= Core::Trips::Water::WAKING ? found : one.bad("hours", one["hours"], "Nobody moves so long in a day.")
        end

        def told(one) = { from: one.from, need_l: text(one.need_l, 2), carry_l: up(one.carry_l, 1) }

        def days
          @case.list("days").map do |one|
            Core::Trips::WaterDay.new(
              day: one.name("day"), hours: hours(one), hot: one["hot"] == true,
              slots: one["slots"] ? one.names("slots", SLOTS) : SLOTS,
              meal_ml: one.table("meal_ml"), pots: one.table("pots")
            )
          end
        end
      end

      # Gas for the cooking.
      class FuelCase < Reading
        # @return [Hash]
        def answer
          plan = Core::Trips::Fuel.new(figures, own_g_per_litre: @case.amount("own_g_per_litre")).call(
            meals, days: @case.at_least_one("days"), spare_days: count("spare_days", usual: 0),
            net_g: @case.positive("canister_net_g"), left_g: number("started_g", usual: 0r)
          )
          {
            per_meal_g: plan.per_meal_g.map { |one| text(one, 1) }, need_g: text(plan.need_g, 1),
            with_spare_g: text(plan.with_spare_g, 1), canisters: plan.canisters,
            plain_butane: plan.cold ? "fails" : "works", canister_weight_g: text(weight(plan))
          }
        end

        private

        def meals
          @case.list("meals").map do |one|
            Core::Trips::HotMeal.new(
              boil_ml: number("boil_ml", one), simmer_minutes: number("simmer_minutes", one, usual: 0r),
              temp_c: signed("temp", one)
            )
          end
        end

        def weight(plan)
          empty = @case["canister"] ? row(:packaging, @case["canister"], "canister").tare_g : 0r
          plan.canisters * (empty + number("canister_net_g"))
        end
      end
    end
  end
end
