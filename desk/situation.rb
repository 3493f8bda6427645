# frozen_string_literal: true

require_relative "../core/dating/breaking"

module NutShelf
  module Desk
    # How a stack is now, as the keeping rules ask: it came sealed, and somebody may have opened, cut or frozen it
    # since.
    module Situation
      MADE = %w[cooked left_over portioned ground home_canned home_dried].freeze

      module_function

      # @param stack [Core::Stack]
      # @param food [Core::Food]
      # @param kind [String] of the place it stands in
      # @return [String] a situation of the keeping rules
      def of(stack, food, kind)
        return stack.situation if MADE.include?(stack.situation) && !(kind == "freezer" && stack.situation == "ground")
        return food.aisle == "Frozen" ? "bought_frozen" : "frozen_at_home" if kind == "freezer"
        return stack.situation unless stack.open

        pack = stack.pack_amount || stack.on_hand
        Core::Breaking.kind(food, dimension: stack.dimension.to_sym, pack: pack) == :cut ? "cut" : "opened"
      end
    end
  end
end
