# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      # What an animal of the house needs a day. The guide on its pack always wins.
      class NeedOfPet
        # Kilograms the rows of dogs are for.
        DOGS = [5, 10, 20, 30, 40].freeze
        USUAL_KG = { "cat" => 4r, "dog" => 20r }.freeze

        # @param figures [Figures]
        # @param hot [Boolean]
        def initialize(figures, hot: false)
          @figures = figures
          @hot = hot
          freeze
        end

        # @param pet [Pet]
        # @return [Rational, nil] kcal a day, nil for an animal nobody has figures of
        def kcal(pet)
          case pet.species
          when "cat" then @figures.at("kcal-cat-4kg") * (pet.kg || USUAL_KG["cat"]) / 4
          when "dog" then dog(pet.kg || USUAL_KG["dog"])
          end
        end

        # @param pet [Pet]
        # @return [Rational] litres a day
        def water(pet)
          row = "water-#{pet.species}-per-kg"
          return @figures.at("water-pet-planning") unless pet.kg && @figures.row?(row)

          @figures.at(row) * pet.kg * (@hot ? @figures.at("water-hot-climate-factor") : 1) / 1000
        end

        private

        # Straight lines between the rows; a small dog eats as its row, a large one in proportion.
        def dog(weight)
          return row(DOGS.first) if weight <= DOGS.first
          return row(DOGS.last) * weight / DOGS.last if weight >= DOGS.last

          low, high = DOGS.each_cons(2).find { |_, above| weight <= above }
          row(low) + ((row(high) - row(low)) * (weight - low) / (high - low))
        end

        def row(weight) = @figures.at("kcal-dog-#{weight}kg")
      end
    end
  end
end
