# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What the eaters of a meal may not have: allergens and foods by name, and who says so. Frozen.
    class Diet
      # Somebody who eats along: `name` and `excludes`, allergens as the foods table writes them. Frozen.
      Eater = Value.of(:name, :excludes)

      # Why a food shuts somebody out. Frozen.
      Clash =
        Value.of(:person, :allergen, :food_key) do
          # @param food [String] its name
          # @return [String] why not, as a cook says it
          def words(food) = "it holds #{allergen} (#{food})."
        end

      # @param eaters [Array<Eater>]
      def initialize(eaters = [])
        @eaters = eaters.reject { |eater| eater.excludes.empty? }.freeze
        freeze
      end

      # @return [Boolean] whether somebody may not have something
      def careful? = @eaters.any?

      # @param food [Food, nil]
      # @return [Array<Clash>] everybody who may not eat it, and why; empty when all may
      def clashes(food)
        return [] unless food

        @eaters.flat_map do |eater|
          (eater.excludes & food.allergens).map do |name|
            Clash.new(person: eater.name, allergen: name, food_key: food.key)
          end
        end
      end

      # @return [Boolean] whether all of them may eat it
      def allows?(food) = clashes(food).empty?
    end
  end
end
