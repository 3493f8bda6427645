# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # How many boxes of one size fit on a shelf or into a chest. Boxes may be turned; they stand in one or two blocks
    # side by side, each block in one way, which is how people stack. That finds the best answer for shelves of
    # household size in nearly all cases and never says more than really fits. Whole millimetres. Frozen.
    class Boxes
      # One block: how many across, deep and high, and the box as it stands (width, depth, height). Frozen.
      Block = Value.of(:across, :deep, :high, :stands) do
        # @return [Integer] boxes
        def count = across * deep * high
      end

      attr_reader :count, :blocks, :steps

      # @param shelf [Array<Integer>] inner width, depth, height
      # @param box [Array<Integer>] width, depth, height
      # @param upright [Boolean] whether the top must stay on top
      def initialize(shelf:, box:, upright: true)
        raise ArgumentError, "sizes must be above zero" unless [*shelf, *box].all?(&:positive?)

        @shelf = shelf
        @ways = upright ? [box, [box[1], box[0], box[2]]] : box.permutation.to_a
        @ways.uniq!
        @blocks = best.freeze
        @count = blocks.sum(&:count)
        @steps = reasons.freeze
        freeze
      end

      # @return [Boolean] whether one fits at all
      def fits? = count.positive?

      private

      def best = [*single, *two(0), *two(1)].max_by { |blocks| [blocks.sum(&:count), -blocks.size] } || []

      def single = @ways.filter_map { |way| filled(way, @shelf)&.then { |block| [block] } }

      # Two blocks that share the width (axis 0) or the depth (axis 1).
      def two(axis)
        @ways.permutation(2).flat_map do |first, second|
          (1..(@shelf[axis] / first[axis])).filter_map { |rows| pair(axis, first, second, rows) }
        end
      end

      def pair(axis, first, second, rows)
        near = @shelf.dup.tap { |shelf| shelf[axis] = rows * first[axis] }
        far = @shelf.dup.tap { |shelf| shelf[axis] = @shelf[axis] - (rows * first[axis]) }
        blocks = [filled(first, near), filled(second, far)].compact
        blocks unless blocks.empty?
      end

      def filled(way, shelf)
        counts = shelf.zip(way).map { |work, size| work / size }
        return if counts.any?(&:zero?)

        Block.new(across: counts[0], deep: counts[1], high: counts[2], stands: way)
      end

      def reasons
        return ["It does not fit: the shelf is #{@shelf.join(" x ")} mm inside."] if blocks.empty?

        blocks.map do |block|
          "#{block.across} side by side, #{block.deep} deep, #{block.high} high, each standing " \
            "#{block.stands.join(" x ")} mm: #{block.count}."
        end
      end
    end
  end
end
