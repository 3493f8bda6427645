# frozen_string_literal: true

require_relative "../dating/rules_in_place"
require_relative "../value"
require_relative "cell"
require_relative "cold_kept"

module NutShelf
  module Core
    module Trips
      # Something wrong with a cell: `kind` of Faults::KINDS, and what it is about. Frozen.
      Fault = Value.of(:kind, :words)

      # What a trip can do: gear, pots of so many millilitres, what is not carried, how long food stays cold, what
      # somebody may not eat, minutes by meal. Frozen.
      Means =
        Value.of(
          :cold, :pot_ml, gear: [].freeze, pots: 1, no_tins: false, no_glass: false, avoid: [].freeze,
          minutes: {}.freeze
        )

      # What stands against a meal on a trip, in the order it matters (docs/trips.md 5). Cold, safety dates and
      # allergens refuse; the rest can be pinned.
      class Faults
        KINDS = %i[cold date gear pots goes minutes tins glass allergen leftover].freeze
        # Those that are the same on whichever day it is, and whatever was opened before.
        ANY_DAY = %i[gear pots goes minutes tins glass allergen].freeze
        # What each gear serves as.
        SERVES = {
          "hob" => %w[hob one-burner kettle], "burner" => %w[one-burner kettle], "one-burner" => %w[one-burner kettle],
          "kettle" => %w[kettle]
        }.freeze
        BOIL_MINUTES = 5
        SNACK_MINUTES = 10
        # A dish that nobody measured takes two pots.
        POTS = 2

        # @param catalog [Catalog]
        # @param figures [Kits::Figures]
        # @param policy [Policy]
        # @param means [Means]
        def initialize(catalog, figures, policy, means)
          @catalog = catalog
          @figures = figures
          @policy = policy
          @means = means
          @needs_cold = {}
          @foods = {}
        end

        # The same dish stands at many meals.
        # @param cell [Cell]
        # @return [Array<Array(Food, Rational)>] see Cell#foods
        def foods(cell)
          @foods[[cell.dish, cell.bag?, cell.times]] ||= cell.foods(@catalog).map(&:freeze).freeze
        end

        # @param cell [Cell]
        # @param kinds [Array<Symbol>] that are asked for
        # @return [Array<Fault>]
        def of(cell, kinds = KINDS)
          asked = cell.leftover_hours ? %i[allergen leftover] : KINDS - [:leftover]
          (asked & kinds).filter_map { |kind| send(kind, cell)&.then { |words| Fault.new(kind: kind, words: words) } }
        end

        # @param cell [Cell]
        # @return [Boolean] whether what needs the cold has it still
        def cold_then?(cell) = @means.cold.allows?(cell.day, cell.meal)

        # @param cell [Cell] of a dish
        # @return [Array<String>] keys of its foods that need cold once an earlier meal opened them, and not before,
        #   where it is not cold any more
        def turned_by_opening(cell)
          return [] if cell.bag? || cold_then?(cell)

          warm = foods(cell).map(&:first)
          warm.select { |food| needs_cold?(food, true) && !needs_cold?(food, false) }.map(&:key)
        end

        private

        # What is closed in a bag has its own date; soaked over night it needs the cold, whatever it is.
        def cold(cell)
          return if (cell.bag? && !cell.soaked) || cold_then?(cell)
          return listed(foods(cell).map { |food, _| food.key }) if cell.soaked

          listed(foods(cell).map(&:first).select { |food| needs_cold?(food, opened?(cell, food)) }.map(&:key))
        end

        def opened?(cell, food) = cell.opened_earlier.include?(food.key)

        # Asked of the same foods over and over, meal after meal.
        def needs_cold?(food, opened)
          @needs_cold.fetch([food.key, opened]) { |asked| @needs_cold[asked] = without_cupboard?(food, opened) }
        end

        def without_cupboard?(food, opened)
          rules = RulesInPlace.new(@catalog, @policy, food)
          situation = opened ? "opened" : "bought_sealed"
          return false if rules.row(situation, Standing.new(name: "cupboard", kind: "cupboard"))

          row = rules.row(situation, rules.fridge)
          !row.nil? && (row.kind == :safety || food.high_risk)
        end

        def date(cell) = (cell.good_until.iso8601 if cell.good_until && cell.good_until < cell.day)

        def gear(cell)
          has = @means.gear.flat_map { |one| SERVES.fetch(one, [one]) }
          listed(wanted(cell) - has)
        end

        def wanted(cell)
          return cell.heated? ? ["kettle"] : [] if cell.bag?

          cell.recipe.gear - ["none"]
        end

        def pots(cell)
          return unless cell.heated?

          pots = cell.bag? ? 1 : gear_row(cell)&.pots || POTS
          pots.to_s if pots > @means.pots
        end

        def gear_row(cell) = cell.bag? ? nil : @catalog.trips.recipe_gear[cell.recipe.key]

        def goes(cell) = times(cell).then { |count| count.to_s if count > 1 }

        # How often the pot is filled.
        def times(cell)
          return 1 unless cell.heated?

          [(content(cell) * cell.batch / (@means.pot_ml * @figures.usual("trip-pot-fill"))).ceil, 1].max
        end

        # A gram counts as a millilitre.
        def content(cell)
          holds = foods(cell)
          return bag_content(cell, holds) if cell.bag?
          return holds.sum(0r, &:last) if gear_row(cell).nil? || gear_row(cell).washes_pot

          holds.sum(0r) { |food, grams| food.food_group == "water" ? grams : 0r }
        end

        def bag_content(cell, holds)
          water = cell.assembly.water_ml * cell.bags
          cell.assembly.eat_from == "pot" ? water + holds.sum(0r, &:last) : water
        end

        def minutes(cell)
          takes = total(cell) * times(cell)
          most = limit(cell.meal)
          "#{takes.ceil} of #{most.ceil}" if takes > most
        end

        def total(cell)
          return cell.recipe.total_minutes unless cell.bag?

          (cell.soaked ? 0 : cell.assembly.stand_minutes) + (cell.heated? ? BOIL_MINUTES : 0)
        end

        def limit(meal)
          @means.minutes[meal] || (meal == "snack" ? SNACK_MINUTES.to_r : @figures.usual("trip-minutes-#{meal}"))
        end

        def tins(cell) = @means.no_tins ? packed_in("tin", cell) : nil

        def glass(cell) = @means.no_glass ? packed_in("glass", cell) : nil

        def packed_in(kind, cell)
          return if cell.bag?

          packs = foods(cell).map(&:first)
          listed(packs.select { |food| @catalog.trips.pack_kind(food)&.pack_kind == kind }.map(&:key))
        end

        def allergen(cell)
          holds = foods(cell).flat_map { |food, _| food.allergens }
          listed(@means.avoid & holds)
        end

        def leftover(cell)
          late = cell.leftover_hours > cell.recipe.leftover_days * 24
          "" if late || !cold_then?(cell)
        end

        def listed(words) = words.empty? ? nil : words.uniq.join(", ")
      end
    end
  end
end
