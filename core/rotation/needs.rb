# frozen_string_literal: true

require_relative "../dating/words"
require_relative "../value"

module NutShelf
  module Core
    # What asks for a person on the shelf: what is not to eat, what must be looked at, what nobody dated, what is warned
    # of.
    module Needs
      # One of them: `kind` :stop, :look, :warning or :undated, in the order they matter. Frozen.
      Need = Value.of(:kind, :stack, :text)

      ORDER = %i[stop look warning undated].freeze
      UNSAID = "Nothing gives it a date. Put one on it when you next see it."
      AGELESS =
        "Nobody knows how old it is, and germs like it: no meal is planned with it. Put a date on it, or throw it out."
      # Warnings that ask for a look: they are said as such, and once.
      ASKS_A_LOOK = %w[pests_near].freeze
      OPEN_SINCE = "It was open already and nobody knows since when. Look, then say whether it is good."

      module_function

      # @param stacks [Array<Stack>]
      # @param state [#call] of a stack, see State
      # @param foods [Hash{String=>Food}]
      # @return [Array<Need>] what matters most first
      def of(stacks, state:, foods:)
        stacks
          .flat_map { |stack| of_one(stack, state.call(stack), foods[stack.food_key]) }
          .sort_by
          .with_index { |need, index| [ORDER.index(need.kind), index] }
      end

      # @return [Array<Need>] of one stack
      def of_one(stack, state, food)
        list = [*about(stack, state, food)]
        warning = stack.flags.find { |flag| !ASKS_A_LOOK.include?(flag.code) }
        list << Need.new(kind: :warning, stack: stack, text: warning.text) if warning && state != :stop
        list
      end

      # @return [Need, nil] what its state asks for
      def about(stack, state, food)
        case state
        when :stop
          Need.new(kind: :stop, stack: stack, text: "Not to eat: throw it out.")
        when :look
          Need.new(kind: :look, stack: stack, text: look(stack))
        when :undated
          undated(stack, food)
        end
      end

      # @return [Need, nil] nil where no date is wanted
      def undated(stack, food)
        return Need.new(kind: :undated, stack: stack, text: AGELESS) if stack.age_unknown
        return if stack.level || food&.food_group == "supplies"

        Need.new(kind: :undated, stack: stack, text: UNSAID)
      end

      # @return [String] what to look for, and why
      def look(stack)
        asks = stack.flags.find { |flag| ASKS_A_LOOK.include?(flag.code) }
        return asks.text if asks
        return OPEN_SINCE if stack.look_first && stack.usable_until.nil?

        "#{Words.passed(stack.basis).sub(/\A(?:its|the|what)\b/,
          &:capitalize)} has passed. Look, then say whether it is good."
      end
    end
  end
end
