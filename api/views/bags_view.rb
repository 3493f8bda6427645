# frozen_string_literal: true

require_relative "../../core/bags/contents"
require_relative "../../core/bags/making"
require_relative "../../core/quantity/conversion"
require_relative "../../core/quantity/decimal"
require_relative "../../desk/bench/bag_stacks"
require_relative "../../desk/plan"

module NutShelf
  module Api
    # The bags of the tables and those of one's own as JSON: what goes into each, how many the shelf gives today, and
    # the bags and pouches to pack them in.
    class BagsView
      # More than anybody makes at once.
      MOST = 200

      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @stacks = Desk::Bench::BagStacks.new(work, Desk::Plan.new(work).shelf)
        @dates = Core::Bags::PartDate.new(work.catalog, work.policy)
      end

      # @return [Hash]
      def call
        trips = @work.catalog.trips
        {
          bags: @work.assemblies.values.map { |one| bag(one) }.sort_by { |one| [one[:can].zero? ? 1 : 0, one[:name]] },
          packagings: trips.packaging.values.select { |one| %w[bag pouch tub bottle].include?(one.kind) }
            .map { |one| { key: one.key, name: one.name, holds_ml: one.holds_ml.round } }
        }
      end

      private

      def bag(assembly)
        parts = assembly.lines.map { |line| part(line) }
        {
          key: assembly.key, name: assembly.name, meal: assembly.meal, directions: assembly.directions,
          own: own(assembly), packaging: assembly.packaging, low_air: assembly.closing == "low_air", can: can(parts),
          scoops: scoops(assembly),
          lines: parts.map do |one|
            { food_id: @work.shelf.food_ids[one.food.key], name: one.food.name, grams: Core::Decimal.print(one.grams) }
          end
        }
      end

      # @return [Hash, nil] which row of the household's own it is
      def own(assembly)
        @own ||= @work.house.own_bags.all.to_h { |row| [row.key, { id: row.id, version: row.version }] }
        @own[assembly.key]
      end

      def part(line)
        food = @work.shelf.foods.fetch(line.food_key)
        Core::Bags::Part.new(food: food, grams: Core::Conversion.to(line.quantity, :mass, food).amount)
      end

      # By the foods alone, closed with their air.
      def can(parts)
        drawn = parts.reject { |one| one.food.key == Core::Shelf::TAP }
        Core::Bags::Making.new(@dates, drawn, @stacks.call(drawn)).call(MOST, on: @work.today).makes
      end

      def scoops(assembly)
        assembly.suits_scoop.filter_map { |key| @work.shelf.foods[key]&.name }
      end
    end
  end
end
