# frozen_string_literal: true

require_relative "../../core/kits/budget_steps"
require_relative "../../core/kits/closing"
require_relative "../../core/value"
require_relative "../plan"
require_relative "../shopping/offers"
require_relative "kit_book"

module NutShelf
  module Desk
    module Kits
      # How the gaps of a kit are closed: what is on the list for it already counts; then the own shelf gives what
      # nothing else is kept for or planned with; then packs that are sold, of food that keeps until the next refresh,
      # that all who are short can eat, and that can be made and finished.
      class ClosingBook
        # Foods of a line that are looked at: the cheapest, and those that were bought before.
        FOODS = 6
        # Food that lacks something to be made with closes no gap.
        WHOLE = 1
        SPOONFUL_G = 20

        attr_reader :book

        # @param work [UnitOfWork]
        # @param book [KitBook]
        # @param own_shelf [Boolean] whether the own shelf gives what it can; else all of it is bought
        def initialize(work, book, own_shelf: true)
          @work = work
          @book = book
          @own_shelf = own_shelf
        end

        # @return [Core::Kits::Closed]
        def closed
          @closed ||= Core::Kits::Closing.new(gaps, shelf: shelf.values, offers: offers).call
        end

        # @return [Core::Kits::BudgetSteps]
        def steps
          Core::Kits::BudgetSteps.new(
            closed, days: book.kit.days, per_day: book.lines.to_h { |line| [line.line, line.per_day] }
          )
        end

        # @return [Hash{String=>Rational}] by line, less what is on the list for this kit
        def gaps
          @gaps ||= book.lines.to_h do |line|
            coming = on_the_list.sum(0r) { |given| given.line(line.line) }
            [line.line, [line.gap - coming, 0r].max]
          end
        end

        # @return [Array<Store::Rows::ListLine>] what waits on the list for this kit
        def listed
          @listed ||= @work.house.shopping.waiting.select { |line| line.reasons.any? { |one| for_this?(one) } }
        end

        # @param supply [Core::Kits::SupplyStack] as the closing names it
        # @return [Stocks::Stock]
        def stock(supply) = shelf.key(shelf.values.find { |given| given.stack.id == supply.id })

        private

        def for_this?(reason) = reason["kind"] == "kit" && reason["kit_id"] == book.kit.id

        def on_the_list
          listed.select(&:food_id).flat_map do |line|
            line.packs.map do |pack|
              size = Core::Quantity.new(pack["amount"].to_r, pack["dimension"].to_sym)
              given(@work.food(line.food_id), size, count: pack["count"])
            end
          end
        end

        # Stock to what it gives, of what counts and is free, less what meals are to draw.
        def shelf
          @shelf ||= free.to_h { |stock| [stock, book.gives.of(stock.supply)] }
        end

        def free
          return [] if !@own_shelf || book.deep_pantry? || gaps.values.none?(&:positive?)

          book.stocks.free.filter_map do |stock|
            packs = stock.supply.packs - drawn(stock)
            stock.with(supply: stock.supply.of(packs)) if packs.positive? && book.counting.of(stock.supply) == :counts
          end
        end

        # Packs that coming meals open or take, each begun one whole.
        def drawn(stock)
          grams = planned.fetch(stock.stack.id, 0r)
          grams.zero? ? 0 : (grams / stock.supply.pack_g).ceil
        end

        def planned
          @planned ||= Plan.new(@work).dishes.values.flat_map(&:lines).flat_map(&:picks)
            .group_by { |pick| pick.stack.id }.transform_values { |picks| picks.sum(0r, &:amount) }
        end

        def offers
          gaps.select { |_, gap| gap.positive? }.keys.flat_map { |line| of_line(line) }.uniq(&:rank)
        end

        # What was bought here before, if there are two such foods; else what others buy, at a guess.
        def of_line(line)
          short = book.lines.find { |one| one.line == line }.short
          able = foods.select { |_, food| serves?(food, line) && suits?(food, short) && plain?(food) }
          packs = able.flat_map { |id, food| priced(id, food) }.select { |one| one.given.line(line).positive? }
          known = packs.reject(&:estimated)
          packs = known if known.map { |one| one.food.key }.uniq.size > 1
          keys = packs.sort_by { |one| one.price_minor / one.given.line(line) }.map { |one| one.food.key }.uniq
          packs.select { |one| keys.first(FOODS).include?(one.food.key) }
        end

        def foods
          @foods ||= @work.every_food.select do |_, food|
            !food.kept_by_level && food.typical_packs.any? && keeps?(food)
          end
        end

        # Nobody eats vegetables by the flake: what counts as a serving must be one.
        def plain?(food) = food.kit_group != "vegetables" || food.plate_serving_g >= SPOONFUL_G

        def serves?(food, line)
          return Core::Kits::Lines.of(food) == line unless Core::Kits::Closing::TOGETHER.include?(line)

          food.pet.nil? && !food.formula? && !Core::Kits::Lines::EXTRAS.include?(food.food_group)
        end

        # What somebody who is short may not eat closes nothing.
        def suits?(food, short)
          return true if food.pet || food.formula? || food.food_group == "water"

          eaters = book.who.eaters.select { |one| short.empty? || short.include?(one.name) }
          eaters.all? { |one| one.eats?(food, disliked: book.kit.count_disliked) } && !companions.include?(food.key)
        end

        def companions
          @companions ||= @work.catalog.kits.companions.select do |one|
            one.alone < WHOLE
          end.map(&:food_key) - book.kit.given_up
        end

        # Bought today it must reach, sealed in a cupboard, made with the gear at hand.
        def keeps?(food)
          answer = @work.catalog.keeping(food, "bought_sealed", "cupboard")
          answer.row? && answer.row.low >= [Core::Kits::Counting::STORE_DAYS,
                                            (book.must_reach - @work.today).to_i].max &&
            Core::Kits::Gear.makes?(food, book.gear, quick: book.figures.usual("kit-quick-minutes"))
        end

        def priced(id, food)
          prices.of(id).packs.filter_map do |pack|
            given = given(food, pack.quantity)
            Core::Kits::Offer.new(given: given, price_minor: pack.price_minor, estimated: pack.estimate?) if given.fits?
          end
        rescue Core::MissingFigure
          []
        end

        def given(food, size, count: 1)
          book.gives.of(Core::Kits::SupplyStack.new(id: food.key, food: food, packs: count, pack: size))
        end

        def prices = @prices ||= Offers.new(@work).tap { |one| one.know(foods.keys) }
      end
    end
  end
end
