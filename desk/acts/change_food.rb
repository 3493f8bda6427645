# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../food_facts"
require_relative "../refusal"

module NutShelf
  module Desk
    # Puts a food right: its names, which food it keeps like, what it holds, what it weighs, the packs it comes in,
    # where it belongs. A food the tables brought keeps its name, its kind and every allergen they give it; more may
    # be added.
    class ChangeFood < Act
      include FoodFacts

      keeper_only
      SHOWN = %i[name nicknames allergens g_per_ml g_per_piece].freeze

      private

      # @param input [Hash] :food_id, :version, any of :name, :nicknames, :like_food_id, :allergens, :g_per_ml,
      #   :g_per_piece (decimal text or nil),
      #   :packs as [{amount:, unit:}], :home_place_id
      def perform(input)
        food = house.records.lock("food", input[:food_id])
        refuse_stale(food, input[:version], shown(food))
        changes =
          [names(food, input), kind(food, input), holds(food, input), weights(input), home(input)].reduce(:merge)
            .reject { |name, value| food.public_send(name) == value }
        packs = new_packs(food, input)
        raise Refusal.of(:says_that_already) if changes.empty? && packs.empty?

        changed = entry("change_food", "Changed #{food.name}#{" to #{changes[:name]}" if changes.key?(:name)}")
        changed.alter("food", food, changes) if changes.any?
        packs.each { |pack| house.packs.ensure(food_id: food.id, **pack) }
        done(changed, food_id: food.id, redated: RedateStacks.new(work, changed).follow)
      end

      def shown(food)
        food.slice(*SHOWN).transform_values { |value| value.is_a?(Array) ? value.join(", ") : shown_one(value) }
      end

      def shown_one(value) = value.is_a?(Rational) ? Core::Decimal.print(value) : value.to_s

      def names(food, input)
        name = input[:name]&.strip
        raise Refusal.of(:shipped_name, at: "/name", food: food.name) if name && name != food.name && !food.own?

        nicknames = input[:nicknames] && input[:nicknames].map(&:strip).reject(&:empty?).uniq
        found = { name: name, nicknames: nicknames }.compact
        return found if found.empty?

        {
          **found,
          search_text: [
            name || food.name,
            work.services.search_words[food.reference_key],
            *(nicknames || food.nicknames)
          ].compact.join(" ").downcase
        }
      end

      # What it keeps like decides how long it keeps, so only a food of ours may be moved.
      def kind(food, input)
        return {} unless input[:like_food_id]
        raise Refusal.of(:shipped_keeping, at: "/like_food_id", food: food.name) unless food.own?

        like = work.food_row(input[:like_food_id])
        raise Refusal.of(:like_itself, at: "/like_food_id") if like.id == food.id

        facts = { class_key: like.class_key || like.reference_key, **like.slice(:aisle, :food_group) }
        house.lots.of_food(food.id, []).empty? ? { **facts, dimension: like.dimension } : facts
      end

      def holds(food, input)
        return {} unless input[:allergens]

        missing = food.own? ? [] : work.services.catalog.foods[food.reference_key].allergens.to_a - input[:allergens]
        if missing.any?
          raise Refusal.of(:shipped_allergens, at: "/allergens", food: food.name, allergens: missing.join(", "))
        end

        { allergens: input[:allergens].uniq.sort }
      end

      def new_packs(food, input)
        known = house.packs.by_food([food.id]).fetch(food.id, []).map { |row| [row.amount, row.dimension] }
        packs(input).reject { |pack| known.include?(pack.values_at(:amount, :dimension)) }
      end
    end
  end
end
