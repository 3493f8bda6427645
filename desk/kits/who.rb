# frozen_string_literal: true

require_relative "../../core/kits/person"
require_relative "../../core/value"

module NutShelf
  module Desk
    module Kits
      # The people and animals a kit is for, as far as the household told of them; what nobody said is counted as usual,
      # and that is said.
      class Who
        # Somebody with what stands in for what nobody said: :age, :sex, :kg. Frozen.
        Known = Core::Value.of(:row, :person, :stands_in)

        # @param work [UnitOfWork]
        # @param people [Array<Integer>, nil] ids, nil for all who live here
        # @param pets [Array<Integer>, nil]
        def initialize(work, people: nil, pets: nil)
          @work = work
          @people = people
          @pet_ids = pets
        end

        # @return [Array<Known>]
        def known
          @known ||= @work.house.household.people.select { |row| counted?(row) }.map { |row| known_of(row) }.freeze
        end

        # @return [Array<Core::Kits::Person>]
        def people = known.map(&:person)

        # @return [Array<Core::Kits::Person>] who eat what grown people eat
        def eaters = people.reject(&:infant?)

        # @return [Array<Core::Kits::Pet>]
        def pets
          @pets ||= @work.house.kits.pets.select { |row| @pet_ids.nil? || @pet_ids.include?(row.id) }
            .map { |row| Core::Kits::Pet.new(name: row.name, species: row.species, kg: row.kg) }.freeze
        end

        # @param row [Store::Rows::Person]
        # @param today [Date]
        # @return [Integer, nil] whole years
        def self.age(row, today)
          return years(row.born_on, today) if row.born_on

          row.age && (row.age + years(row.age_on, today))
        end

        # @return [Integer] whole years from a day on
        def self.years(from, today)
          whole = today.year - from.year
          ([today.month, today.day] <=> [from.month, from.day]).negative? ? [whole - 1, 0].max : whole
        end
        private_class_method :years

        private

        # An infant does not eat with the others, and is counted all the same.
        def counted?(row) = @people ? @people.include?(row.id) : row.eats || row.formula_fed

        def known_of(row)
          age = self.class.age(row, @work.today)
          person = Core::Kits::Person.new(
            name: row.name, age: age, sex: row.sex&.to_sym, kg: row.kg, activity: row.activity&.to_sym,
            factor: row.portion_factor, pregnant: row.pregnant, nursing: row.nursing, formula_fed: row.formula_fed,
            excludes: row.excludes, dislikes: row.dislikes
          )
          Known.new(row: row, person: person, stands_in: stands_in(person).freeze)
        end

        def stands_in(person)
          return [] if person.infant?

          grown = person.age.nil? || person.age > 13
          [*(:age unless person.age), *(:sex if grown && person.sex.nil?), *(:kg unless person.kg)]
        end
      end
    end
  end
end
