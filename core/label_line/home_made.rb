# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # Food made at home keeps by rows of its own, never by those of the shop's food of the same name. Where a line
      # says that something was made, bottled or dried at home and no such row was named, the reader asks which it is.
      module HomeMade
        CLASSES = {
          "home_canned" => %w[class-home-canned-high-acid class-home-canned-low-acid class-home-canned-jam],
          "home_dried" => %w[
            class-home-dried-fruit class-home-dried-vegetables class-home-dried-meat class-home-dried-meals
          ],
          "home_made" => %w[
            class-cooked-soup-stew class-cooked-pulses class-cooked-meat-dish class-home-broth class-home-baked-cake
            class-garlic-or-herb-oil class-home-canned-jam
          ]
        }.freeze
        HOW = { "home_canned" => "bottled", "home_dried" => "dried", "home_made" => "made" }.freeze

        module_function

        # @param state [String, nil] what the line said of it
        # @param food [Food, nil] what it was read as
        # @return [Boolean] whether the answer must come from a person
        def ask?(state, food) = CLASSES.key?(state) && !food.nil? && food.aisle != "Home leftovers"

        # @return [String]
        def question(state, food)
          "#{food.name}, #{HOW.fetch(state)} at home, keeps by other times than bought. Which is it most like?"
        end

        # @param foods [Hash{String=>Food}]
        # @return [Array<Hash>] :text and :value
        def answers(state, foods)
          CLASSES.fetch(state).filter_map { |key| foods[key] && { text: foods[key].name, value: key } }
        end
      end
    end
  end
end
