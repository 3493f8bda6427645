# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What a list could do without so that it stays within a budget, least harm first: what only fills the house up,
    # then what runs low, then what is used besides, and meals last, the latest first. Of what does the same harm as few
    # as possible go: the cheapest that is enough by itself, else the dearest. Nothing is left out by itself: it is
    # shown.
    module LeaveOut
      # A line: minor units, what it is for (:wanted, :level, :habit, :meal or :own), the day of its first meal. Frozen.
      Line = Value.of(:id, :cost, :reason, :on)

      # What people wrote themselves is theirs to strike.
      HARM = %i[wanted level habit meal].freeze

      module_function

      # @param lines [Array<Line>]
      # @param budget [Integer] minor units
      # @return [Array<Line>] in the order they are left out; too few where even that is not enough
      def call(lines, budget)
        over = lines.sum(&:cost) - budget
        groups(lines).each_with_object([]) do |group, left|
          over = leave(group, over, left)
        end
      end

      # @return [Array<Array<Line>>] of the same harm, least harm first
      def groups(lines)
        there = lines.select { |line| HARM.include?(line.reason) && line.cost.positive? }
        there.group_by { |line| [HARM.index(line.reason), line.on ? -line.on.jd : 0] }.sort.map(&:last)
      end

      # Adds to what is left out until nothing is over.
      # @return [Integer] minor units that still are
      def leave(group, over, left)
        rest = group.sort_by { |line| [line.cost, line.id] }
        while over.positive? && rest.any?
          line = rest.find { |one| one.cost >= over } || rest.last
          rest.delete(line)
          left << line
          over -= line.cost
        end
        over
      end
      private_class_method :leave, :groups
    end
  end
end
