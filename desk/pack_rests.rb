# frozen_string_literal: true

require_relative "../core/dating/breaking"
require_relative "../core/planning/weight"
require_relative "shopping_days"

module NutShelf
  module Desk
    # For how many days what is left of a bought pack is good: once it is opened or cut, and never longer than it keeps
    # from the shop.
    class PackRests
      # @param work [UnitOfWork]
      # @param strict [Boolean] whether somebody goes by the date
      def initialize(work, strict:)
        @work = work
        @strict = strict
        @shopping = ShoppingDays.new(work, from: work.today, to: work.today)
        @known = {}
      end

      # @param key [String] of a food
      # @return [Integer, nil] days, nil for longer than anybody plans
      def days(key)
        @known.fetch(key) { @known[key] = [@shopping.keeps(key), broken(@work.shelf.foods[key])].compact.min }
      end

      private

      # What is sold in many pieces is not broken by taking some.
      def broken(food)
        return if food.nil? || here.nil?

        how = Core::Breaking.kind(food, dimension: :mass, pack: Core::Weight.usual_pack(food))
        return if how.nil? || (how == :opened && Core::Breaking::PRODUCE.include?(food.aisle))

        life = @work.openings.of(food, how, here)
        @strict ? life&.strict_days : life&.days
      end

      # As it comes home; what belongs into the fridge once open goes there.
      def here
        @here ||= %w[cupboard fridge].filter_map { |kind| @work.places.values.find { |one| one.kind == kind } }.first
      end
    end
  end
end
