# frozen_string_literal: true

require_relative "../value"
require_relative "band"

module NutShelf
  module Core
    module Kits
      # What one person needs a day: kcal, grams of protein, litres to drink and to store, grams of formula powder,
      # servings by group; exact. Frozen.
      PersonNeed = Value.of(:person, :kcal, :protein_g, :drink_l, :store_l, :formula_g, :servings)

      # Works out what one person needs a day from the planning figures.
      class NeedOfPerson
        GROUPS = %w[grains vegetables fruit dairy protein fat sweets drinks].freeze
        # Millilitres of made-up feed that 100 g of powder give, as the food tables have its water.
        FEED_ML_PER_100_G = 680
        ACTIVE = %i[hiking hard].freeze

        # @param figures [Figures]
        # @param activity [Symbol] of who has none of their own
        # @param hot [Boolean] whether it is hot
        # @param basis [String] row of water to store: "water-drink-light-hygiene" and so on
        def initialize(figures, activity: :light, hot: false, basis: "water-drink-light-hygiene")
          @figures = figures
          @activity = activity
          @hot = hot
          @basis = basis
          freeze
        end

        # @param person [Person]
        # @return [PersonNeed]
        def of(person)
          return infant(person) if person.infant?

          PersonNeed.new(
            person: person, kcal: kcal(person), protein_g: protein(person), drink_l: drink(person),
            store_l: store(person), formula_g: 0r, servings: servings(person)
          )
        end

        # @return [Rational] kilograms, as said or as is usual for that age and sex
        def weight(person) = person.kg || mean(Band.weight(person).map { |row| @figures.usual(row) })

        private

        def infant(person)
          feeds = person.formula_fed ? @figures.at("water-formula-infant") : 0r
          drink = person.formula_fed ? feeds + @figures.at("water-formula-infant-cleaning") : 0r
          PersonNeed.new(
            person: person, kcal: 0r, protein_g: 0r, drink_l: drink, store_l: drink,
            formula_g: feeds * 1000 * 100 / FEED_ML_PER_100_G, servings: GROUPS.to_h { |group| [group, 0r] }.freeze
          )
        end

        def kcal(person)
          mean(Band.energy(person).map { |band| energy("kcal-#{band}", person) }) + extras(person, "kcal")
        end

        # Small children do not hike hard: there the row of hiking stands in.
        def energy(prefix, person)
          effort = person.activity || @activity
          row = "#{prefix}-#{effort}"
          row = "#{prefix}-hiking" unless @figures.row?(row)
          prefix == "kcal-teen-14-18" ? teen(row, person.sex) : @figures.at(row)
        end

        # One row tells of all teenagers: girls stand in its lower half, boys in its upper.
        def teen(row, sex)
          low, usual, high = Figures::LEVELS.map { |column| @figures.cell(row, column) }
          own = { woman: [low, mean([low, usual]), usual], man: [usual, mean([usual, high]), high] }
          own.fetch(sex, [low, usual, high])[Figures::LEVELS.index(@figures.level)]
        end

        def protein(person)
          rate = @figures.at(Band.protein(person))
          active = Band.grown?(person) && ACTIVE.include?(person.activity || @activity)
          rate = [rate, @figures.at("protein-active")].max if active
          (weight(person) * rate) + extras(person, "protein")
        end

        def drink(person) = (drinking(person) * heat) + extras(person, "water")

        def store(person) = @figures.at(@basis) + (drinking(person) * (heat - 1)) + extras(person, "water")

        def drinking(person) = @figures.at(Band.drinking(person))

        def heat = @hot ? @figures.at("water-hot-climate-factor") : 1r

        def extras(person, prefix)
          { pregnant: person.pregnant, nursing: person.nursing }.sum(0r) do |state, said|
            said ? @figures.at("#{prefix}-#{state}-extra") : 0r
          end
        end

        def servings(person)
          of = Band.servings(person)
          GROUPS.to_h { |group| [group, @figures.at("servings-#{group}-#{of}")] }.freeze
        end

        def mean(numbers) = numbers.sum(0r) / numbers.size
      end
    end
  end
end
