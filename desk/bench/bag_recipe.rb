# frozen_string_literal: true

require_relative "../../core/bags/contents"
require_relative "../fit"
require_relative "../refusal"

module NutShelf
  module Desk
    module Bench
      # What a bag is asked to hold: the lines of a bag of the tables, or of somebody's own, what they come to and in
      # which packing. A bag of the tables whose lines were changed is another.
      class BagRecipe
        # @param work [UnitOfWork]
        # @param input [Hash] :assembly a key of the tables or nil, :lines as [{ food_id:, amount:, unit: }] or nil for
        #   its own, :packaging a key of the tables, :label
        # @raise [Invalid] without lines, for lines of no weight or nothing to eat, without a name for lines of one's
        #   own, for a key the tables do not know
        def initialize(work, input)
          @work = work
          @input = input
          raise Refusal.of(:no_such_bag, at: "/assembly") if input[:assembly] && assembly.nil?
          raise Refusal.of(:bag_of_nothing, at: "/lines") if assembly.nil? && said.empty?
          raise Refusal.of(:bag_without_name, at: "/label") if assembly.nil? && label.empty?
          raise Refusal.of(:no_such_bag, at: "/packaging") if input[:packaging] && packaging.nil?

          parts
        end

        # @return [Core::Assembly, nil] the bag of the tables it is
        def assembly = @work.assemblies[@input[:assembly]]

        # @return [Array<Core::Bags::Part>] of one bag
        def parts = @parts ||= said.empty? ? own_parts : said.map { |asked| part(**asked) }

        # @return [Core::Bags::Sums]
        def sums = contents(parts).sums

        # @return [Core::Bags::Sums, nil] as the tables have it, where this is another
        def plain_sums = assembly && changed? ? contents(own_parts).sums : nil

        # @return [Core::Packaging, nil]
        def packaging = @work.catalog.trips.packaging[@input[:packaging] || assembly&.packaging]

        # @return [Core::Packaging, nil] the smallest bag or pouch it can be eaten from, where its own is too small
        def larger
          return if sums.fits || packaging.nil?

          @work.catalog.trips.packaging.values
            .select { |one| one.holds_ml && one.kind == packaging.kind && one.key.start_with?(family) }
            .select { |one| sums.eaten_g <= one.holds_ml * Core::Bags::Contents::FULL }.min_by(&:holds_ml)
        end

        # @return [String]
        def name = label.empty? ? assembly.name : label

        # @return [String] how it is made ready to eat
        def directions = @input[:directions]&.strip || assembly&.directions.to_s

        # @return [String] key of the food such a bag is; what may hold something else is another food to whoever may
        #   not have it
        def key
          base = assembly && !changed? ? assembly.key : name.downcase.gsub(/[^\p{Alnum}]+/, "-")
          ["bag", base, *sums.allergens].join("-")
        end

        # @return [String] name of that food
        def food_name = assembly && !changed? ? assembly.name : name

        # @return [String, nil] a class of keeping where germs grow in something of it, for what a power cut does
        def class_key = parts.map(&:food).find(&:high_risk)&.class_key

        private

        def label = @input[:label].to_s.strip

        def said = @input[:lines] || []

        def family = packaging.key[/\A[a-z-]*/]

        def changed? = parts.to_h { |part| [part.food.key, part.grams] } != own_parts.to_h { |p| [p.food.key, p.grams] }

        def own_parts
          @own_parts ||= assembly ? assembly.lines.map { |line| whole(food(line.food_key), line.quantity) } : []
        end

        def food(key) = @work.shelf.foods[key] || @work.catalog.food(key)

        def part(food_id:, amount:, unit: "g")
          food = @work.food(food_id)
          Fit.eaten(food, pointer: "/lines")
          raise Refusal.of(:weight_not_above_zero, at: "/lines") unless amount.to_r.positive?

          whole(food, Core::Quantity.of(amount, unit))
        end

        def whole(food, quantity)
          Core::Bags::Part.new(food: food, grams: Core::Conversion.to(quantity, :mass, food).amount)
        end

        def contents(parts)
          Core::Bags::Contents.new(
            parts, packaging: packaging, water_ml: assembly&.water_ml, eat_from: assembly&.eat_from
          )
        end
      end
    end
  end
end
