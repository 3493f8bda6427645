# frozen_string_literal: true

require_relative "../value"
require_relative "figures"
require_relative "need_of_person"
require_relative "need_of_pet"
require_relative "person"

module NutShelf
  module Core
    module Kits
      # What a household needs a day: by person, by animal (kcal, nil where there is no figure), and water in all.
      # Exact; `round` and `total` of it are for showing. Frozen.
      DayNeed =
        Value.of(:people, :pets, :water_l, :drink_l) do
          # @return [Rational] kcal of all people
          def kcal = people.sum(0r, &:kcal)

          # @return [Rational] grams
          def protein_g = people.sum(0r, &:protein_g)

          # @return [Rational] grams of formula powder
          def formula_g = people.sum(0r, &:formula_g)

          # @return [Hash{String=>Rational}] servings by group
          def servings
            NeedOfPerson::GROUPS.to_h { |group| [group, people.sum(0r) { |one| one.servings.fetch(group) }] }
          end
        end

      # People and animals to needs (docs/kits.md 1).
      class Needs
        # @param figures [Figures] at the level of the kit
        # @param activity [Symbol] :rest, :light, :hiking, :hard
        # @param hot [Boolean]
        # @param basis [String] "water-drink-cook", "water-drink-light-hygiene" or "water-comfortable"
        def initialize(figures, activity: :light, hot: false, basis: "water-drink-light-hygiene")
          @person = NeedOfPerson.new(figures, activity: activity, hot: hot, basis: basis)
          @pet = NeedOfPet.new(figures, hot: hot)
          freeze
        end

        # @param people [Array<Person>]
        # @param pets [Array<Pet>]
        # @param cook_water_l [Rational] a day, for the food of the kit
        # @return [DayNeed]
        def call(people, pets = [], cook_water_l: 0r)
          each = people.map { |person| @person.of(person) }
          animals = pets.sum(0r) { |pet| @pet.water(pet) }
          drink = each.sum(0r, &:drink_l) + animals
          DayNeed.new(
            people: each.freeze, pets: pets.to_h { |pet| [pet, @pet.kcal(pet)] }.freeze, drink_l: drink,
            water_l: [each.sum(0r, &:store_l) + animals, drink + cook_water_l].max
          )
        end
      end
    end
  end
end
