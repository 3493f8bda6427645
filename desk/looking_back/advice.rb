# frozen_string_literal: true

require_relative "../../core/looking_back/advice"
require_relative "../../core/looking_back/follow_up"
require_relative "../../core/quantity/money"
require_relative "../fit"
require_relative "../shopping/offers"
require_relative "../shopping_days"
require_relative "../usage_rates"
require_relative "books"

module NutShelf
  module Desk
    module LookingBack
      # What is worth changing, and whether what was changed helped.
      class Advice
        # What the household answered stands for so long; then it may be advised again.
        RESTS_DAYS = 56
        USUAL_TRIP = 7

        # An answer with what became of it. Frozen.
        Followed = Core::Value.of(:answer, :follow_up)

        # @param work [UnitOfWork]
        # @param books [Books]
        def initialize(work, books)
          @work = work
          @books = books
        end

        # @return [Array<Core::Suggestion>]
        def suggestions
          wasted = @books.outcomes.group_by(&:food_id).select { |_, list| list.any?(&:wasted?) }.except(*resting)
          wasted = wasted.reject { |id, _| @work.food(id).aisle == "Home leftovers" }
          offers.know(wasted.keys)
          Core::Advice.of(wasted.map { |id, list| facts(id, list) })
        end

        # @return [Array<Followed>] what was changed, the latest first
        def followed
          taken = answers.select { |one| one.answer == "taken" }
          return [] if taken.empty?

          most = Core::FollowUp::MOST_WEEKS * 7
          first = taken.map(&:on_date).min - most
          outcomes = Outcomes.new(@work, from: first, to: @work.today).all.group_by(&:food_id)
          taken.reverse.map do |one|
            of_food = outcomes.fetch(one.food_id, [])
            Followed.new(
              answer: one,
              follow_up: Core::FollowUp.of(taken_on: one.on_date, today: @work.today, outcomes: of_food)
            )
          end
        end

        private

        def answers = @answers ||= @work.house.outcomes.answers

        def resting = answers.select { |one| one.on_date > @work.today - RESTS_DAYS }.map(&:food_id)

        def facts(id, outcomes)
          food = @work.food(id)
          Core::Advice::Facts.new(
            food_id: id, outcomes: outcomes, daily: habits.daily(food.key).to_r, trip_days: trip_days,
            grams_of: ->(size) { Core::Weight.of_pack(food, size) }, freezes: freezes?(food), par: par(id, food),
            packs: packs(id), places: names, homes: homes(food), money: method(:money), dish: dish(food)
          )
        end

        # A sealed tin needs no freezer, and what lives in it is there already.
        def freezes?(food)
          !@work.freezer.nil? && food.freezes == "yes" && food.aisle != "Frozen" &&
            Core::Food::PERISHABLE.include?(food.aisle)
        end

        def par(id, food)
          wanted = wants[id]&.par or return
          unit = Core::Weight.of_unit(food, food.dimension, nil)
          unit && (wanted * unit)
        end

        def packs(id)
          prices = offers.of(id)
          [*prices.packs, *prices.usual].uniq(&:quantity).map do |pack|
            name = @work.size(pack.quantity)
            Core::Advice::Pack.new(grams: pack.size, price_minor: pack.price_minor, name: name)
          end
        end

        def names = @names ||= @work.all_places.transform_values(&:name)

        # Where it may stand for good.
        def homes(food)
          @work.places.each_value.reject(&:set_apart?)
            .select { |place| @work.catalog.keeping(food, "bought_sealed", place.kind).row }.map(&:id)
        end

        # The dish of this house that uses most of it.
        def dish(food)
          uses = @work.shelf.food_ids.key?(food.key) ? recipes.filter_map { |id, recipe| use(id, recipe, food) } : []
          uses.max_by { |one| [one.grams, -one.recipe_id] }
        end

        def use(id, recipe, food)
          line = recipe.lines.find { |one| one.food_key == food.key && !one.optional } or return
          grams = Core::Weight.of_pack(food, line.quantity)
          grams && Core::Advice::Use.new(recipe_id: id, name: recipe.name, grams: grams)
        end

        # Only what somebody here cooked already: a dish nobody knows is no advice.
        def recipes
          @recipes ||= @work.house.recipes.values.slice(*@work.house.outcomes.cooked_recipes)
        end

        def trip_days
          days = ShoppingDays.new(@work, from: @work.today, to: @work.today + 60).days
          days.each_cons(2).map { |one, other| (other - one).to_i }.max || USUAL_TRIP
        end

        def money(minor) = "#{Core::Money.plain(minor)} #{@work.household.currency}"

        def offers = @offers ||= Offers.new(@work)

        def wants = @wants ||= @work.house.shopping.wants

        def habits = @habits ||= UsageRates.new(@work).habits
      end
    end
  end
end
