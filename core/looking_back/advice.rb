# frozen_string_literal: true

require_relative "../value"
require_relative "outcome"

module NutShelf
  module Core
    # What a household could change about a food, and what that would have saved. `kind` of ORDER; `change` what a touch
    # sets: days (stop), largest (grams of a pack), par (grams), place_id, recipe_id; `steps` the sum in words. Frozen.
    Suggestion = Value.of(:food_id, :kind, :saving_minor, change: {}.freeze, steps: [].freeze)

    # Why a food is wasted here and what would have helped (computation.md 10): every change that fits is tried on what
    # really happened, and the one that would have saved most is advised. Frozen.
    class Advice
      # Of two that save the same, the one that asks least of people.
      ORDER = %w[freeze smaller_pack lower_par place dish stop].freeze
      # Less is not worth anybody's thought.
      LEAST_MINOR = 50
      MOST = 5
      # Nor is a food of which nearly all is eaten.
      LEAST_SHARE = Rational(1, 10)
      KEPT_TOO_LONG = %w[turned forgotten bought_too_much].freeze
      STOP_DAYS = 90
      # Often enough to speak of a place.
      TIMES = 3

      # A pack that can be bought: grams, minor units, and how people call it. Frozen.
      Pack = Value.of(:grams, :price_minor, :name)
      # A dish that uses the food: grams of it each time it is cooked. Frozen.
      Use = Value.of(:recipe_id, :name, :grams)
      # What is known of a food. `outcomes` of it, those weighed or not; `grams_of`: of a pack's size; `packs` it can be
      # bought in; `daily`: grams used; `trip_days`: between two trips; `par`: grams wanted in the house, nil; `names`:
      # of places; `money`: writes minor units. Frozen.
      Facts =
        Value.of(:food_id, :outcomes, :grams_of, :daily, :trip_days, :par, :money, :dish, freezes: false,
          packs: [].freeze, places: {}.freeze, homes: [].freeze)

      # @param list [Array<Facts>]
      # @return [Array<Suggestion>] at most MOST, the most saving first
      def self.of(list)
        list.map do |facts|
          new(facts)
        end.select(&:matters?).filter_map(&:best).sort_by { |one| [-one.saving_minor, one.food_id] }.first(MOST)
      end

      def initialize(facts)
        @facts = facts
        @wasted = facts.outcomes.select(&:wasted?)
        freeze
      end

      # @return [Boolean] whether enough of it is wasted to change anything
      def matters? = rate(@facts.outcomes) >= LEAST_SHARE

      # @return [Suggestion, nil]
      def best
        all.select { |one| one.saving_minor >= LEAST_MINOR }
          .min_by { |one| [-one.saving_minor, ORDER.index(one.kind)] }
      end

      # @return [Array<Suggestion>] every change that would have helped
      def all = [freezing, smaller_pack, lower_par, another_place, one_dish_more, stopping].compact

      private

      def say(minor) = @facts.money.call(minor)

      def suggestion(kind, saving, change, *steps)
        Suggestion.new(food_id: @facts.food_id, kind: kind, saving_minor: saving, change: change.freeze,
          steps: steps.freeze)
      end

      def too_long = @wasted.select { |one| KEPT_TOO_LONG.include?(one.why) }

      def freezing
        return unless @facts.freezes && too_long.any?

        saved = too_long.sum(&:value_minor)
        suggestion("freeze", saved, { freeze: true },
          "#{say(saved)} of it turned or lay too long. Frozen on the day it came, that would have kept.")
      end

      # The packs that left, bought in smaller ones that cover what was eaten of each.
      def smaller_pack
        found = @facts.outcomes.group_by(&:pack).filter_map { |size, list| size && cheaper(size, list) }
        found.max_by(&:saving_minor)
      end

      def cheaper(size, list)
        grams = @facts.grams_of.call(size)
        weighed = list.select(&:grams)
        return if grams.nil? || weighed.none?(&:wasted?) || @facts.packs.none? { |pack| pack.grams < grams }

        opened = weighed.sum(&:grams) / grams
        eaten = weighed.select { |one| one.kind == "eaten" }.sum(0r, &:grams) / opened
        return unless eaten.positive?

        small = @facts.packs.select { |pack| pack.grams < grams }.min_by { |pack| [cost(pack, eaten), pack.grams] }
        instead_of(weighed.sum(&:value_minor), small, opened, eaten)
      end

      def instead_of(paid, small, opened, eaten)
        cost = (cost(small, eaten) * opened).round
        return unless paid > cost

        suggestion("smaller_pack", paid - cost, { largest: small.grams },
          "#{say(paid)} went for what left in large packs. What was eaten of each fits into " \
          "#{(eaten / small.grams).ceil} x #{small.name}: #{say(cost)} in all.")
      end

      def cost(pack, eaten) = (eaten / pack.grams).ceil * pack.price_minor

      # Sealed packs that were thrown away were more than was used up to the next trip.
      def lower_par
        sealed = @wasted.select { |one| !one.open && KEPT_TOO_LONG.include?(one.why) }
        par = (@facts.daily * @facts.trip_days).ceil
        return if sealed.empty? || par.zero? || (@facts.par && @facts.par <= par)

        saved = sealed.sum(&:value_minor)
        suggestion("lower_par", saved, { par: par },
          "#{say(saved)} was thrown away before anybody began it. About #{par} g is used in " \
          "#{@facts.trip_days} days, up to the next trip.")
      end

      # Where it stands better: the same food, in a place where less of it was wasted.
      def another_place
        sealed = @facts.outcomes.reject(&:open)
        rates = sealed.group_by(&:place_id).select { |_, list| list.size >= TIMES }
          .transform_values { |list| rate(list) }
        worst = rates.max_by(&:last)
        better = rates.slice(*@facts.homes).min_by(&:last)
        return if worst.nil? || better.nil? || better.last * 2 > worst.last

        moved(*worst, *better)
      end

      def moved(from, worst, to, better)
        left = @facts.outcomes.select { |one| !one.open && one.place_id == from }.sum(&:value_minor)
        suggestion("place", ((worst - better) * left).round, { place_id: to },
          "From #{@facts.places[from]} #{(worst * 100).round} % of it was wasted, from #{@facts.places[to]} " \
          "#{(better * 100).round} %.")
      end

      def rate(list)
        left = list.sum(&:value_minor)
        left.positive? ? Rational(list.select(&:wasted?).sum(&:value_minor), left) : 0r
      end

      # Cooked once more, it would have used some of what lay too long.
      def one_dish_more
        weighed = too_long.select { |one| one.grams&.positive? }
        return if @facts.dish.nil? || weighed.empty?

        grams = weighed.sum(&:grams)
        share = [@facts.dish.grams / grams, 1].min
        saved = (weighed.sum(&:value_minor) * share).round
        suggestion("dish", saved, { recipe_id: @facts.dish.recipe_id },
          "#{grams.round} g lay too long. #{@facts.dish.name} uses #{@facts.dish.grams.round} g each time.")
      end

      def stopping
        disliked = @wasted.select { |one| one.why == "disliked" }
        return if disliked.size < 2 && @facts.outcomes.any? { |one| one.kind == "eaten" }

        list = disliked.size < 2 ? @wasted : disliked
        return if list.size < 2

        saved = list.sum(&:value_minor)
        suggestion("stop", saved, { days: STOP_DAYS },
          "#{say(saved)} of it was thrown away#{" because nobody liked it" if disliked.size > 1}.")
      end
    end
  end
end
