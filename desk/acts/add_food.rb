# frozen_string_literal: true

require_relative "../act"
require_relative "../food_facts"
require_relative "../refusal"

module NutShelf
  module Desk
    # A food of the household's own, kept like one the tables know.
    class AddFood < Act
      include FoodFacts

      private

      # @param input [Hash] :name, :like_food_id whose keeping rules it shares, :nicknames, :allergens (else those of
      #   the food it is like),
      #   :g_per_ml, :g_per_piece, :packs, :home_place_id; see FoodFacts
      def perform(input)
        like = work.food_row(input[:like_food_id])
        key = "own-#{input[:name].downcase.scan(/[\p{L}\d]+/).join("-")}"
        raise Refusal.of(:food_name_taken) if house.foods.by_key([key]).any?

        facts = facts(input, key, like)
        id = house.foods.add(**facts)
        packs(input).each { |pack| house.packs.ensure(food_id: id, **pack) }
        added = entry("add_food", "New food: #{input[:name].strip}", subject: id)
        added.made("food", id, facts)
        done(added, food_id: id)
      end

      def facts(input, key, like)
        {
          key: key,
          name: input[:name].strip,
          class_key: like.class_key || like.reference_key,
          reference_key: nil,
          **like.slice(:aisle, :food_group, :dimension, :g_per_ml, :g_per_piece),
          **weights(input).compact,
          **home(input),
          nicknames: input[:nicknames] || [],
          allergens: input[:allergens] || work.food(like.id).allergens.to_a
        }
      end
    end
  end
end
