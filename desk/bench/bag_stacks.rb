# frozen_string_literal: true

require_relative "../../core/bags/making"
require_relative "../redate"

module NutShelf
  module Desk
    module Bench
      # The stacks that bags may be made of: weighed, set apart for nothing, good today for everybody who eats here, and
      # in no doubt after a power cut. What is kept by level has no weight; its jar counts for its date alone.
      class BagStacks
        # More of it than any bag takes, in grams.
        PLENTY = 10**9

        # @param work [UnitOfWork]
        # @param shelf [Core::Shelf] what may be planned with
        def initialize(work, shelf)
          @work = work
          @shelf = shelf
          @redate = Redate.new(work)
        end

        # @param parts [Array<Core::Bags::Part>]
        # @return [Hash{Core::Food=>Array<Core::Bags::BagStack>}]
        def call(parts)
          parts.map(&:food).uniq.to_h { |food| [food, of(food)] }
        end

        # @return [Hash{Integer=>Store::Rows::Lot}] by id, locked
        def lock(ids) = @work.house.lots.lock(ids.sort)

        private

        def of(food)
          stacks = @shelf.of(food.key, strict: @work.strict_eaters?).select { |stack| fit?(stack) && weighs?(stack) }
          stacks = levels(food) if stacks.empty? && @shelf.free?(food.key)
          rows = @work.house.lots.every(stacks.map(&:id)).to_h { |lot| [lot.id, lot] }
          stacks.map { |stack| bag_stack(stack, rows.fetch(stack.id), food) }
        end

        def fit?(stack) = stack.eligible?(@work.today, strict: @work.strict_eaters?)

        def weighs?(stack) = stack.amount.positive?

        def levels(food)
          @shelf.stacks.each_value.select do |stack|
            stack.food_key == food.key && Core::Shelf::THERE.include?(stack.level) && fit?(stack)
          end
        end

        def bag_stack(stack, lot, food)
          story = @redate.story(lot)
          Core::Bags::BagStack.new(
            id: lot.id, food: food, grams: stack.level ? PLENTY.to_r : stack.amount, value_minor: lot.value_minor,
            printed_on: lot.printed_on, printed_kind: lot.printed_kind&.to_sym, situation: lot.situation,
            opened_on: story.events.filter_map { |event| event.on if event.kind == :opened }.min,
            place: @work.place(lot.place_id).kind, story: story
          )
        end
      end
    end
  end
end
