# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"

module NutShelf
  module Desk
    module Bench
      # What bags come to, read before anything moves: how many, what limits, what is missing, what is in
      # one, who may not have it.
      class BagsTold
        # @param work [UnitOfWork]
        # @param bag [BagRecipe]
        # @param made [Core::Bags::Made]
        # @param want [Integer] bags that were asked for
        def initialize(work, bag, made, want)
          @work = work
          @bag = bag
          @made = made
          @want = want
        end

        # @param costs [Array<Integer>] of each bag
        # @return [Hash]
        def call(costs)
          {
            want: @want, makes: @made.makes, can: @made.can, why: why, each: each(@bag.sums), plain: plain,
            costs: costs.zip(@made.bags).map { |cost, bag| [cost, bag.until&.on] }.tally.map do |(cost, on), count|
              { count: count, cost_minor: cost, until: on&.iso8601 }
            end,
            allergens: @bag.sums.allergens, not_for: not_for, packaging: @bag.packaging&.name,
            fits: @bag.sums.fits, larger: @bag.larger&.name, heat: @bag.assembly&.water_heat
          }
        end

        # @return [String] what limits, and what is missing of it; empty where all can be made
        def why
          return "" if @made.makes >= @want
          return "There are no more empty bags." if @made.can > @made.makes

          short = @made.limits.map { |food| "#{food.name}: #{grams(@made.missing.fetch(food))} missing" }
          "#{short.join("; ")} for #{@want}."
        end

        private

        def plain = @bag.plain_sums&.then { |sums| each(sums) }

        def each(sums)
          {
            net: grams(sums.net_g), gross: grams(sums.gross_g), kcal: sums.kcal.round,
            protein_g: Core::Decimal.print(sums.protein_g.round(1)), sodium_mg: sums.sodium_mg.round,
            kcal_per_g: Core::Decimal.print(sums.kcal_per_g.round(2)),
            water: sums.water_ml.zero? ? nil : @work.size(Core::Quantity.new(sums.water_ml.round(0).to_r, :volume)),
            eaten: grams(sums.eaten_g)
          }
        end

        def grams(amount) = @work.size(Core::Quantity.new(amount.round(1).to_r, :mass))

        def not_for
          @work.eaters.filter_map do |person|
            holds = person.excludes & @bag.sums.allergens
            "#{person.name}: #{holds.join(", ")}" if holds.any?
          end
        end
      end
    end
  end
end
