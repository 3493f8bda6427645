# frozen_string_literal: true

require_relative "../errors"
require_relative "food"
require_relative "keeping_row"
require_relative "answer"
require_relative "lookup"

module NutShelf
  module Core
    # The reference tables, indexed once and frozen: foods, classes, keeping rows and the tables that
    # say which row answers a question. Built by TableReader from rows that somebody else read.
    class Catalog
      attr_reader :foods, :targets, :recipes, :class_names, :signs, :losses, :revivals, :kits, :trips

      # @param foods [Hash{String=>Food}] by key; home-made classes are foods too, under their class key
      # @param rows [Hash{Array=>KeepingRow}] by [scope, place, state]
      # @param states [Hash{Array=>Array<String>}] by [situation, place], in the order to ask
      # @param stand_ins [Array<Hash>] in file order
      # @param no_rules [Array<Hash>]
      # @param more [Hash] :targets, :recipes, :class_names, :signs, :losses, :revivals, :kits, :trips, for
      #   those who need them
      def initialize(foods:, rows:, states:, stand_ins:, no_rules:, **more)
        @foods = foods.freeze
        @rows = rows.freeze
        @states = states.freeze
        @stand_ins = stand_ins.group_by { |row| row[:scope] }.freeze
        @no_rules = no_rules.group_by { |row| row[:scope] }.freeze
        @more = more.freeze
        @targets = more[:targets].freeze
        @recipes = more[:recipes].freeze
        @class_names = more[:class_names].freeze
        @signs = more.fetch(:signs, {}).freeze
        @losses = more.fetch(:losses, {}).freeze
        @revivals = more.fetch(:revivals, {}).freeze
        @kits = more[:kits]
        @trips = more[:trips]
        @home_classes = more.fetch(:home_classes, []).freeze
        freeze
      end

      # @param key [String] food key
      # @return [Food]
      # @raise [Unknown]
      def food(key) = foods.fetch(key) { raise Unknown, "No food has the key #{key.inspect}." }

      # How long this food keeps, in the order README of data/ gives.
      # @param food [Food]
      # @param situation [String] "bought_sealed", "opened", "left_over" and so on
      # @param place [String] "cupboard", "cool_dark", "fridge" or "freezer"
      # @param storage [String, nil] "bag", "jar", "water", "paper" or "vacuum", where it is part of the rule
      # @return [Answer]
      def keeping(food, situation, place, storage = nil) = Lookup.new(self, food, storage).answer(situation, place)

      # @param own [Hash{Array=>KeepingRow}] a household's own times by [scope, place, state]
      # @return [Catalog] one that asks those first
      def with_own(own)
        return self if own.empty?

        self.class.new(
          foods: foods,
          rows: @rows.merge(own),
          states: @states,
          stand_ins: @stand_ins.values.flatten,
          no_rules: @no_rules.values.flatten,
          **@more
        )
      end

      # @param known [Hash{String=>Food}] foods as a household has them, its own among them
      # @return [Catalog] that knows those instead
      def with_foods(known)
        self.class.new(
          foods: foods.merge(known), rows: @rows, states: @states, stand_ins: @stand_ins.values.flatten,
          no_rules: @no_rules.values.flatten, **@more
        )
      end

      # @return [Boolean] whether this key is a class of food made at home, which people name like a food
      def home_class?(key) = @home_classes.include?(key)

      # @return [KeepingRow, nil] the row of that way of storing, else the plain one
      def row(scope, place, state, storage = nil)
        (storage && @rows[[scope, place, state, storage]]) || @rows[[scope, place, state]]
      end

      # @param class_key [String, nil]
      # @return [Array<String>] everything that foods of this class may hold
      def allergens_of_class(class_key)
        class_key ? foods.values.select { |food| food.class_key == class_key }.flat_map(&:allergens).uniq : []
      end

      # @return [Array<KeepingRow>] every row of a food and its class, for reading
      def rows_of(food) = @rows.values.select { |row| [food.key, food.class_key].compact.include?(row.scope) }

      # @return [Array<String>] states of the tables that answer for a situation in a place
      def states(situation, place) = @states.fetch([situation, place], [])

      # @return [Array<Hash>] what stands in for the missing rows of a food or class
      def stand_ins(scope) = @stand_ins.fetch(scope, [])

      # @return [Array<Hash>] where a food or class has no figure on purpose, and why
      def no_rules(scope) = @no_rules.fetch(scope, [])
    end
  end
end
