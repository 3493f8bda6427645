# frozen_string_literal: true

require_relative "../../core/dating/state"
require_relative "../../core/quantity/unit"
require_relative "../../core/quantity/wording"

module NutShelf
  module Api
    # A stack as JSON. Written for thousands of them: no value is computed twice and none needs a query.
    class StackView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @measures = work.measures
        @today = work.today
        @policy = work.policy
        @table = work.services.marks
        @marks = {}
        @days = {}
        @words = {}
      end

      # @param stack [Core::Stack]
      # @return [Hash]
      def call(stack)
        usable = stack.usable_until
        food = @work.food(stack.food_id)
        {
          id: stack.id,
          food_id: stack.food_id,
          food: food.name,
          name: stack.name(food),
          group: food.food_group,
          place_id: stack.place_id,
          amount: amount(stack),
          on_hand: decimal(stack.on_hand),
          reserved: stack.reserved.positive? ? @work.part_words(stack, stack.reserved) : nil,
          unit: Core::Unit.base(stack.dimension),
          pack: stack.pack_amount && decimal(stack.pack_amount),
          noun: stack.noun,
          open: stack.open,
          frozen: stack.in_freezer,
          level: stack.level,
          state: state(stack),
          days_left: usable && (usable.jd - @today.jd),
          usable_until: usable && iso(usable),
          flags: stack.flags.map(&:code),
          value_minor: stack.value_minor,
          value_estimated: stack.value_estimated,
          mark: mark(stack, food)
        }
      end

      # @param ids [Array<Integer>]
      # @return [Hash{Integer=>Hash}] by id, first date first; what is gone among them
      def all(ids) = @work.stacks(ids).to_h { |stack| [stack.id, call(stack)] }

      # @param stack [Core::Stack]
      # @return [Symbol] see Core::State
      def state(stack) = Core::State.of(today: @today, policy: @policy, dates: stack)

      # @param stack [Core::Stack]
      # @return [String] "3 x 400 g"
      def amount(stack)
        @words[[stack.on_hand, stack.pack_amount, stack.dimension, stack.noun, stack.open]] ||= @work.wording(stack)
      end

      private

      def mark(stack, food)
        facts = [food.key, stack.noun, stack.wrapping]
        @marks[facts] ||= @table.of(keys: [food.key], aisle: food.aisle, noun: stack.noun, wrapping: stack.wrapping)
      end

      def iso(date) = @days[date.jd] ||= date.iso8601

      def decimal(number) = number.denominator == 1 ? number.numerator.to_s : Core::Decimal.print(number)
    end
  end
end
