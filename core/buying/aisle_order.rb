# frozen_string_literal: true

module NutShelf
  module Core
    # The order in which somebody walks the aisles of a shop, learnt from the order things were put in the basket.
    module AisleOrder
      module_function

      # The aisles of this walk stand in the order of their first tick; others keep their place after the one they stood
      # behind.
      # @param known [Array<String>] as they were walked before
      # @param walked [Array<String>] aisle of each tick, in the order of the ticks
      # @return [Array<String>]
      def learn(known, walked)
        walk = walked.uniq
        (known - walk).reduce(walk) do |order, aisle|
          before = known.take(known.index(aisle)).reverse.find { |one| order.include?(one) }
          order.dup.insert(before ? order.index(before) + 1 : 0, aisle)
        end
      end

      # @param aisles [Array<String>]
      # @param known [Array<String>] as they are walked there
      # @return [Array<String>] in that order; those never walked last, by name
      def sorted(aisles, known) = aisles.sort_by { |aisle| [known.index(aisle) || known.size, aisle] }
    end
  end
end
