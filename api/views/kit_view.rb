# frozen_string_literal: true

require_relative "../../core/quantity/stack_words"
require_relative "../../desk/kits/kit_book"
require_relative "../../desk/kits/supply_book"
require_relative "kit_words"
require_relative "kits_view"

module NutShelf
  module Api
    # A kit as JSON: what is needed, what is there and what counts, what is missing, and what it is checked for.
    class KitView
      # @param work [Desk::UnitOfWork]
      # @param kit [Store::Rows::Kit]
      def initialize(work, kit)
        @work = work
        @kit = kit
        @book = Desk::Kits::KitBook.new(work, kit)
      end

      # @return [Hash]
      def call
        {
          kit: KitsView.set(@kit), refresh_on: @book.deep_pantry? ? nil : @book.refresh_on.iso8601,
          must_reach: @book.must_reach.iso8601, people: people, pets: pets,
          lines: @book.lines.map { |line| line(line) }, stacks: @book.pages.map { |page| stack(page) },
          lacks: @book.lacks.map { |one| lack(one) }, checks: checks, supplies: supplies
        }
      end

      private

      def people
        @book.who.known.map do |known|
          need = @book.need.people.find { |one| one.person == known.person }
          {
            id: known.row.id, name: known.row.name, stands_in: known.stands_in.map(&:to_s),
            kcal: KitWords.up("kcal", need.kcal), protein_g: KitWords.up("protein_g", need.protein_g),
            drink_l: KitWords.up("water", need.drink_l)
          }
        end
      end

      def pets
        @book.need.pets.map do |pet, kcal|
          { name: pet.name, species: pet.species, weighed: !pet.kg.nil?, kcal: kcal && KitWords.up("kcal", kcal) }
        end
      end

      def line(line)
        name = line.line
        {
          line: name, label: KitWords.line(name), unit: KitWords.unit(name), per_day: KitWords.up(name, line.per_day),
          need: KitWords.up(name, line.need), have: KitWords.down(name, line.have), gap: KitWords.up(name, line.gap),
          covered: line.need.zero? ? 100 : [((line.need - line.gap) * 100 / line.need).floor, 0].max, short: line.short,
          by_person: line.by_person.select { |_, need| need.positive? }
            .map { |who, need| { name: who, per_day: KitWords.up(name, need) } }
        }
      end

      def stack(page)
        stack = page.stock.stack
        supply = page.stock.supply
        {
          lot_id: stack.id, name: stack.name(supply.food), place: stack.place, reason: page.reason.to_s,
          amount: @work.wording(stack, amount: supply.packs * Desk::Kits::Stocks.unit(stack)),
          until: supply.usable_until&.iso8601, mark: @work.mark(stack), fits: page.given.fits?,
          minutes: page.given.minutes.to_i, opened: page.given.opened.kind.to_s, gives: gives(page),
          warnings: stack.flags.map(&:text)
        }
      end

      # Of each line it counts for, what it gives.
      def gives(page)
        Core::Kits::Lines::ALL.map { |line| [line, @book.amount(line, page)] }.select { |_, amount| amount.positive? }
          .map do |line, amount|
            { label: KitWords.line(line), unit: KitWords.unit(line), amount: KitWords.down(line, amount) }
          end
      end

      def lack(one)
        {
          food: @work.catalog.food(one.food_key).name, needs: @work.catalog.food(one.needs_key).name,
          needs_key: one.needs_key, grams: one.grams.ceil, note: one.note, feeds: (one.share * 100).floor
        }
      end

      def checks
        found = @book.checks
        {
          heat_l: up(found.heat_l, 1), fuel: up(found.fuel), fuel_have: KitWords.plain(@kit.fuel_amount.floor),
          fuel_unit: @work.catalog.targets.fetch(@kit.fuel_row)["unit"].start_with?("grams") ? "g" : "ml",
          canisters: found.canisters, cook_water_l: up(found.cook_water_l, 1), sodium_mg: found.sodium_mg.ceil,
          salty: found.salty, one_sided: found.one_sided.map { |key| @work.catalog.foods[key]&.name || key },
          water_kept_percent: (found.water_kept * 100).floor, water_apart: found.water_apart, **handling, **comfort
        }
      end

      def comfort
        found = @book.comfort
        {
          taste_days: [found.taste_days, @kit.days].min, tasteless: found.tasteless,
          softening: found.softening.map { |key| @work.catalog.food(key).name }
        }
      end

      # What the packs ask for once they stand in boxes.
      def handling
        given = @book.counted.map(&:given)
        {
          opener: given.any?(&:needs_opener?), too_big: given.reject(&:fits?).map { |one| one.stack.food.name }.uniq,
          glass: names(given, &:glass?), bag: names(given, &:bag?), mice: names(given, &:mice?)
        }
      end

      def names(given, &) = given.select(&).map { |one| one.stack.food.name }.uniq

      def up(number, places = 0) = KitWords.plain(Core::Kits::Rounding.up(number, places))

      def supplies
        Desk::Kits::SupplyBook.new(@work, @book).rows.map do |row|
          {
            name: @work.catalog.food(row.key).name, amount: row.need.amount, unit: row.need.unit, have: row.have,
            coming: row.coming, gap: row.gap, note: row.need.supply.note
          }
        end
      end
    end
  end
end
