# frozen_string_literal: true

require_relative "../../core/planning/weight"
require_relative "../../core/season/jar_walk"
require_relative "../preserving/kept_food"

module NutShelf
  module Desk
    module Season
      # What stands in the house of what a line of the season is about: bottled goods in millilitres, dried ones in
      # grams. What is set apart as not to eat is no part of it.
      class JarsThere
        # @param work [UnitOfWork]
        # @param line [Store::Rows::SeasonLine]
        def initialize(work, line)
          @work = work
          @line = line
        end

        # @return [Array<Core::Stack>] by their last good day
        def stacks = @stacks ||= all.select { |stack| amount(stack) }.sort_by { |one| [one.usable_until.jd, one.id] }

        # @return [Integer] stacks of it that nobody can say the amount or the day of
        def uncounted = all.size - stacks.size

        # @return [Array<Core::Season::JarStack>]
        def jars
          stacks.map do |stack|
            size = jar(stack)
            Core::Season::JarStack.new(
              id: stack.id, size_ml: size, count: amount(stack) / size, good_until: stack.usable_until
            )
          end
        end

        # @return [Array<Integer>] foods that count as it
        def food_ids
          @food_ids ||= [*@line.food_ids, *@work.every_food.filter_map { |id, food| id if same?(food.key) }].uniq
        end

        # @return [String] the dimension its amounts are in
        def dimension = @line.process == "bottling" ? "volume" : "mass"

        private

        def all
          @all ||= @work.shelf.stacks.values.select do |stack|
            food_ids.include?(stack.food_id) && !stack.stopped && !stack.quarantined && stack.on_hand.positive?
          end
        end

        def same?(key) = Preserving::KeptFood.of?(@work.catalog, @line.process, @line.cut, key)

        # @return [Rational, nil]
        def amount(stack)
          return unless stack.usable_until && stack.level.nil?
          return stack.on_hand if stack.dimension.to_s == dimension
          return unless stack.amount

          dimension == "mass" ? stack.amount : litres(stack)
        end

        def litres(stack)
          dense = @work.food(stack.food_id).g_per_ml
          dense && (stack.amount / dense)
        end

        def jar(stack)
          whole = stack.pack_amount && (stack.pack_amount * amount(stack) / stack.on_hand)
          whole&.positive? ? whole : amount(stack)
        end
      end
    end
  end
end
