# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # Which row of the planning figures tells of a person. Bands meet at whole years; where the age is unknown the
      # person counts as an adult, where the sex is unknown by the mean of both.
      module Band
        module_function

        # @param person [Person] of a year or more
        # @return [Array<String>] bands of energy, to take the mean of
        def energy(person)
          case person.age
          when 0..3 then ["child-1-3"]
          when 4..8 then ["child-4-8"]
          when 9..13 then ["child-9-13"]
          when 14..18 then ["teen-14-18"]
          else by_sex(person, old?(person) ? "older" : "adult")
          end
        end

        # @return [Array<String>] rows of the usual weight, to take the mean of
        def weight(person)
          case person.age
          when 0..3 then ["child-1-3"]
          when 4..8 then ["child-4-8"]
          when 9..13 then ["child-9-13"]
          when 14..18 then by_sex(person, "teen", woman: "girl", man: "boy")
          else old?(person) ? by_sex(person, "older") : by_sex(person, nil)
          end.map { |band| "reference-weight-#{band}" }
        end

        # @return [String] row of protein for a kilogram
        def protein(person)
          case person.age
          when 0..3 then "protein-toddler"
          when 4..13 then "protein-child"
          when 14..18 then "protein-teen"
          else !person.age.nil? && person.age > 65 ? "protein-older" : "protein-adult"
          end
        end

        # @return [String] row of drinking
        def drinking(person)
          case person.age
          when 0..3 then "water-child-1-3"
          when 4..8 then "water-child-4-8"
          when 9..13 then "water-child-9-13"
          else "water-drinking-adult"
          end
        end

        # @return [String] which row of servings: a child's up to 13
        def servings(person) = child?(person) ? "child" : "adult"

        # @return [Boolean] whether somebody is 13 or less
        def child?(person) = !person.age.nil? && person.age < 14

        # @return [Boolean] whether somebody is 19 or more, as who has no age counts
        def grown?(person) = person.age.nil? || person.age > 18

        # @return [Boolean] whether somebody is 60 or more
        def old?(person) = !person.age.nil? && person.age > 59

        # @return [Array<String>] bands of that sex, of both where nobody said
        def by_sex(person, prefix, woman: "woman", man: "man")
          words = { woman: [woman], man: [man] }.fetch(person.sex, [woman, man])
          words.map { |word| [prefix, word].compact.join("-") }
        end
      end
    end
  end
end
