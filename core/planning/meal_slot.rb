# frozen_string_literal: true

require_relative "diet"
require_relative "../value"

module NutShelf
  module Core
    # Somebody at a meal: how much they eat of a usual portion, whether they go by the date, what they may not have.
    # `id`: of a person of the house, nil of a guest. Frozen.
    Eater = Value.of(:name, :id, portion: 1r, strict: false, excludes: [].freeze)

    # What a meal of a day is like: who eats, the minutes free before it and in the morning (nil: no matter), what kind
    # of evening, what is at hand (nil: everything). `said_by`: "day", the name of a pattern, or nil where nobody said
    # anything; `timed`: somebody said how long there is; `hand`: it has no day yet, so it is cooked by itself. Frozen.
    MealSlot =
      Value.of(:on, :meal, :minutes, :morning_minutes, :gear, :said_by, evening: "home", eaters: [].freeze, note: "",
        timed: false, hand: false) do
        # @return [Boolean] whether somebody eats here
        def wanted? = evening != "out" && eaters.any?

        # @return [Rational] usual portions
        def servings = eaters.sum(0r, &:portion)

        # @return [Array<String>] allergens that may not be in it
        def excludes = eaters.flat_map(&:excludes).uniq.sort

        # @return [Boolean] whether somebody at the table goes by the date
        def strict? = eaters.any?(&:strict)

        # @return [Diet] of those at the table
        def diet = Diet.new(eaters.map { |one| Diet::Eater.new(name: one.name, excludes: one.excludes) })

        # @param recipe [Recipe]
        # @return [Array<String>] what stands against cooking it for this meal, in words; empty where nothing does
        def against(recipe) = [*too_long(recipe), *no_gear(recipe), *wrong_evening(recipe)]

        # @param recipe [Recipe] that was cooked before
        # @return [Boolean] whether its leftovers can be eaten then: without power nothing is heated
        def again?(recipe) = evening != "no_power" || recipe.tags.include?("no-cook")

        private

        # What stands overnight asks for its active minutes alone.
        def too_long(recipe)
          return [] unless minutes

          takes = recipe.total_minutes - recipe.active_minutes > 120 ? recipe.active_minutes : recipe.total_minutes
          takes > minutes ? ["It takes #{takes} minutes, and there are #{minutes}."] : []
        end

        def no_gear(recipe)
          needed = recipe.gear - ["none"]
          missing = needed - (at_hand || needed)
          missing.map { |one| "There is no #{one} that evening." }
        end

        def at_hand
          return [] if evening == "no_power"

          evening == "no_oven" ? (gear || self.class::KITCHEN) - ["oven"] : gear
        end

        def wrong_evening(recipe)
          return ["It cannot be packed to go."] if evening == "packed" && !recipe.tags.intersect?(self.class::PACKED)
          return [] unless evening == "shifts" && recipe.leftover_days.zero? && !recipe.tags.include?("no-cook")

          ["It does not wait for those who come later."]
        end
      end
    # @param slots [Array<MealSlot>]
    # @return [Diet] of everybody at any of these tables
    def MealSlot.diet(slots)
      Diet.new(slots.flat_map(&:eaters).uniq.map { |one| Diet::Eater.new(name: one.name, excludes: one.excludes) })
    end
    MealSlot::PACKED = %w[packable no-cook].freeze
    MealSlot::KITCHEN = %w[one-burner kettle hob oven freezer slow-cooker microwave].freeze

    # Makes the slots of days: what was said of a single meal counts, else what is so every such weekday, else what is
    # usual.
    class MealSlots
      # @param people [Array<#id, #name, #portion_factor, #strict, #excludes>] everybody who eats here
      # @param said [Array<#on_date, #meal>] of single meals
      # @param patterns [Array<#weekday, #meal>]
      # @param meals [Array<String>] which meals of a day are planned, in their order
      # @param usual [Hash{String=>Integer}] minutes free before each, where nobody said
      def initialize(people:, said: [], patterns: [], meals: ["dinner"], usual: {})
        @people = people.to_h { |person| [person.id, person] }
        @said = said.to_h { |one| [[one.on_date, one.meal], one] }
        @patterns = patterns.to_h { |one| [[one.weekday, one.meal], one] }
        @meals = meals
        @usual = usual
      end

      # @param from [Date]
      # @param to [Date]
      # @return [Array<MealSlot>] in the order of time
      def between(from, to) = (from..to).flat_map { |day| @meals.map { |meal| of(day, meal) } }

      # @param day [Date]
      # @param meal [String]
      # @return [MealSlot]
      def of(day, meal)
        own = @said[[day, meal]]
        pattern = @patterns[[day.wday, meal]]
        one = own || pattern
        return MealSlot.new(on: day, meal: meal, minutes: @usual[meal], eaters: all) unless one

        MealSlot.new(
          on: day, meal: meal, minutes: one.minutes || @usual[meal], morning_minutes: one.morning_minutes,
          evening: one.evening, gear: one.gear, note: one.note, eaters: eaters(one.eaters), timed: !one.minutes.nil?,
          said_by: own ? "day" : pattern.name
        )
      end

      private

      def all = @all ||= @people.values.map { |person| eater(person) }.freeze

      def eaters(said)
        return all unless said

        sitting = said.fetch("people", []).filter_map { |id| @people[id] }.map { |person| eater(person) }
        [*sitting, *said.fetch("guests", []).map { |guest| guest(guest) }].freeze
      end

      def eater(person)
        Eater.new(
          id: person.id, name: person.name, portion: person.portion_factor, strict: person.strict,
          excludes: person.excludes
        )
      end

      def guest(said)
        Eater.new(
          name: said.fetch("name", "guest"), portion: said.fetch("portion", "1").to_r,
          strict: said.fetch("strict", false), excludes: said.fetch("excludes", []).freeze
        )
      end
    end
  end
end
