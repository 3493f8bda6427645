# frozen_string_literal: true

require_relative "order"
require_relative "../dating/words"
require_relative "../value"

module NutShelf
  module Core
    # The same food in two places so that the newer would be eaten first: what stands at hand turns later than what
    # stands further off.
    module RotationBreaches
      # `near` would be taken, `far` should be. Frozen.
      Pair =
        Value.of(:near, :far) do
          # @return [String] what to do about it
          def words
            "The newer stands in #{near.place} (#{Words.day(near.usable_until)}), the older in #{far.place} " \
              "(#{Words.day(far.usable_until)}): swap them, or the older waits too long."
          end
        end

      MARGIN_DAYS = 14

      module_function

      # @param shelf [Shelf]
      # @return [Array<Pair>] one a food at most
      def pairs(shelf) = shelf.keys.filter_map { |key| pair(shelf.of(key), on: shelf.today) }

      # @param stacks [Array<Stack>] of one food, in every place
      # @param on [Date]
      # @return [Pair, nil] the first stack at hand and the older one elsewhere, when they differ by more than a
      #   fortnight
      def pair(stacks, on:)
        near, far = Order.sort(stacks.select { |stack| sealed_and_dated?(stack, on) }).partition(&:working).map(&:first)
        return unless near && far && (near.usable_until - far.usable_until).to_i > MARGIN_DAYS

        Pair.new(near: near, far: far)
      end

      # @return [Boolean] whether it may stand where it would be compared
      def sealed_and_dated?(stack, on) = !stack.open && !stack.usable_until.nil? && stack.eligible?(on)
    end
  end
end
