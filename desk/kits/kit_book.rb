# frozen_string_literal: true

require_relative "../../core/kits/checks"
require_relative "../../core/kits/comforts"
require_relative "../../core/kits/companions"
require_relative "../../core/kits/counting"
require_relative "../../core/kits/gap"
require_relative "../../core/kits/gives"
require_relative "../../core/kits/needs"
require_relative "../../core/kits/refresh_day"
require_relative "../../core/value"
require_relative "stocks"
require_relative "who"

module NutShelf
  module Desk
    module Kits
      # A kit as a book: what those it is for need, what belongs to it and what of that counts, line by line, and what
      # is missing.
      class KitBook
        # What belongs to the kit: the stock, what it gives, and :counts or why it does not. Frozen.
        Page = Core::Value.of(:stock, :given, :reason)
        # A line: need a day and in all, by person a day; what is there, what is open, who is short. Frozen.
        Line = Core::Value.of(:line, :per_day, :need, :have, :gap, short: [].freeze, by_person: {}.freeze)

        attr_reader :kit, :who, :stocks

        # @param work [UnitOfWork]
        # @param kit [Store::Rows::Kit]
        # @param stocks [Stocks] where several books are opened at once
        def initialize(work, kit, stocks: Stocks.new(work))
          @work = work
          @kit = kit
          @stocks = stocks
          @who = Who.new(work, people: kit.people, pets: kit.pets)
        end

        # @return [Core::Kits::Figures]
        def figures = @figures ||= Core::Kits::Figures.new(targets: @work.catalog.targets, level: kit.level.to_sym)

        # @return [Date] the next refresh; for a deep pantry, which has none, the end of its days
        def refresh_on
          return @work.today + kit.days if deep_pantry?

          @refresh_on ||= Core::Kits::RefreshDay.due(kit.refresh_days, @work.today, kit.refreshed_on)
        end

        # @return [Date] a date must reach that day to count
        def must_reach = refresh_on + kit.margin_days

        # @param from [Date] when it comes into a box
        # @return [Date] the date a pack must carry to reach that day inside, where a box of the kit gets warm
        def must_carry(from)
          Core::Kits::WarmBox.needed(must_reach, from: from, high_c: warmest)
        end

        # @return [Integer, nil] degrees Celsius of its warmest box, nil where nobody said
        def warmest
          @work.places.each_value.select { |place| place.kit_id == kit.id }.filter_map(&:high_c).max
        end

        # @return [Boolean]
        def deep_pantry? = kit.school == "deep_pantry"

        # @return [Core::Kits::DayNeed]
        def need = @need ||= needs(cook_water_l: counted.sum(0r) { |one| one.given.cook_water_l } / kit.days)

        # @return [Core::Kits::Gives]
        def gives
          @gives ||= begin
            plain = needs
            Core::Kits::Gives.new(
              @work.catalog, figures, eaters: who.eaters, gear: gear, cold: !kit.no_power,
              disliked: kit.count_disliked, water_l: plain.water_l, pet_kcal: plain.pets.values.compact.sum(0r)
            )
          end
        end

        # @return [Core::Kits::Counting]
        def counting
          @counting ||= Core::Kits::Counting.new(
            @work.catalog, figures, must_reach: must_reach, people: who.people, gear: gear, disliked: kit.count_disliked
          )
        end

        # @return [Symbol] what can be cooked with
        def gear = kit.gear.to_sym

        # @return [Array<Page>] everything that belongs to it, what counts first
        def pages
          @pages ||= own.map { |stock| page(stock) }
            .sort_by { |one| [one.reason == :counts ? 0 : 1, one.stock.supply.food.name, one.stock.stack.id] }.freeze
        end

        # @return [Array<Page>]
        def counted = @counted ||= pages.select { |one| one.reason == :counts }

        # @return [Array<Core::Kits::LacksOthers>] food that cannot be made of what is in the kit
        def lacks
          @lacks ||= Core::Kits::Companions.new(@work.catalog.kits.companions, given_up: kit.given_up).call(
            counted.group_by { |one| one.stock.supply.food.key }
              .transform_values { |list| list.sum(0r) { |one| one.stock.supply.edible_g } }
          )
        end

        # @return [Array<Line>] those that somebody needs
        def lines
          @lines ||= Core::Kits::Lines::ALL.map { |line| line(line) }.select { |one| one.need.positive? }.freeze
        end

        # @return [Core::Kits::Checked]
        def checks
          @checks ||= Core::Kits::Checks.new(
            figures, eaters: who.eaters, days: kit.days, hot_drinks: kit.hot_drinks, fuel_row: kit.fuel_row,
            canister: kit.canister
          ).call(counted.map(&:given))
        end

        # @return [Core::Kits::Comfort]
        def comfort
          @comfort ||= Core::Kits::Comforts
            .new(eaters: who.eaters, crunch: @work.catalog.kits.crunch, hot: kit.hot).call(counted.map(&:given))
        end

        # @param line [String] of Core::Kits::Lines::ALL
        # @param page [Page]
        # @return [Rational] how much of it a stack gives, less what cannot be made
        def amount(line, page) = page.given.line(line) * shares.fetch(page.stock.supply.food.key, 1r)

        private

        def needs(**more)
          Core::Kits::Needs.new(
            figures, activity: kit.activity.to_sym, hot: kit.hot, basis: "water-#{kit.water_basis}"
          ).call(who.people, who.pets, **more)
        end

        # In a deep pantry all that nothing else is kept for belongs to it.
        def own
          (deep_pantry? ? stocks.free : stocks.of(kit.id)).reject { |stock| stock.supply.food.food_group == "supplies" }
        end

        def page(stock)
          Page.new(stock: stock, given: gives.of(stock.supply), reason: counting.of(stock.supply))
        end

        def shares = @shares ||= Core::Kits::Companions.shares(lacks)

        def line(line)
          by_person = by_person(line)
          per_day = per_day(line, by_person)
          found = gap_of(line, by_person, per_day)
          Line.new(
            line: line, per_day: per_day, need: per_day * kit.days, have: found.have, gap: found.gap,
            short: found.short.map(&:name).freeze, by_person: by_person.transform_keys(&:name).freeze
          )
        end

        # Servings, kcal and protein are people's; water, powder and what is in the bowl are shared by all who need
        # them.
        def gap_of(line, by_person, per_day)
          if [*Core::Kits::Lines::SERVINGS, "kcal", "protein_g"].include?(line)
            return shared.of(line, by_person.transform_values { |need| need * kit.days }) do |stack|
              amount(line, by_stack.fetch(stack))
            end
          end
          have = counted.sum(0r) { |one| amount(line, one) }
          Core::Kits::LineGap.new(line: line, need: per_day * kit.days, have: have,
            gap: [(per_day * kit.days) - have, 0r].max)
        end

        def shared
          @shared ||= Core::Kits::Gap.new(who.eaters, by_stack.keys, disliked: kit.count_disliked)
        end

        def by_stack
          @by_stack ||= counted.select { |one| one.given.for_people? }.to_h { |one| [one.stock.supply, one] }
        end

        def per_day(line, by_person)
          case line
          when "water" then need.water_l
          when "dog", "cat" then need.pets.sum(0r) { |pet, kcal| pet.species == line ? kcal.to_r : 0r }
          else by_person.values.sum(0r)
          end
        end

        def by_person(line)
          need.people.to_h { |one| [one.person, of_person(line, one)] }
        end

        def of_person(line, one)
          case line
          when "kcal" then one.kcal
          when "protein_g" then one.protein_g
          when "water" then one.store_l
          when "formula" then one.formula_g
          when "dog", "cat" then 0r
          else one.servings.fetch(line)
          end
        end
      end
    end
  end
end
