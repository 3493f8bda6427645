# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # Food that cannot all be made: grams of it, what it lacks, how many grams of that, the share of it that feeds all
      # the same. Frozen.
      LacksOthers = Value.of(:food_key, :needs_key, :grams, :share, :note)

      # Foods that are made with others (docs/kits.md): they give only what can be eaten without those where a kit holds
      # neither them nor a stand-in, unless somebody does without on purpose.
      class Companions
        # @param table [Array<Companion>]
        # @param given_up [Array<String>] keys of foods that are done without
        def initialize(table, given_up: [])
          @by_food = table.group_by(&:food_key)
          @given_up = given_up
          freeze
        end

        # @param grams [Hash{String=>Rational}] edible grams in the kit by food key
        # @return [Array<LacksOthers>] first food first; what one food takes is not there for the next
        def call(grams)
          left = grams.dup
          @by_food.sort.select { |key, _| grams.fetch(key, 0r).positive? }.flat_map do |key, needs|
            needs.reject { |one| @given_up.include?(one.needs_key) }
              .filter_map { |one| lacking(one, grams.fetch(key), left) }
          end
        end

        # @param lacks [Array<LacksOthers>]
        # @return [Hash{String=>Rational}] the share of each food that feeds, of those that lack something
        def self.shares(lacks) = lacks.group_by(&:food_key).transform_values { |list| list.map(&:share).min }

        private

        def lacking(one, grams, left)
          need = grams * one.g_per_100g / 100
          open = need - taken(one, need, left)
          return unless open.positive?

          made = (need - open) / need
          LacksOthers.new(
            food_key: one.food_key, needs_key: one.needs_key, grams: open, note: one.note,
            share: made + ((1 - made) * one.alone)
          )
        end

        # @return [Rational] grams of what is needed that it or its stand-ins make up for
        def taken(one, need, left)
          { one.needs_key => 1r, **one.stand_ins }.sum(0r) do |key, factor|
            part = [left.fetch(key, 0r), need * factor].min
            left[key] = left.fetch(key, 0r) - part if part.positive?
            need -= part / factor
            part / factor
          end
        end
      end
    end
  end
end
