# frozen_string_literal: true

module NutShelf
  module Core
    # First expired, first out: the order in which stacks of one food are taken. What is open of foods that opening does
    # not shorten comes first; then the earliest last good day (undated last), then opened, then the working place, then
    # the older purchase, then the id. Earliest-deadline order wastes least when nothing but deadlines counts (Jackson's
    # rule for one machine); spec/core/rotation_spec.rb holds it against every other order.
    module Order
      # As a Julian day: later than any date a household writes.
      FAR = (1 << 23) - 1

      module_function

      # @param stacks [Array<Stack>] of one food
      # @param strict [Boolean] by the dates of those who go by the date
      # @return [Array<Stack>] front first
      def sort(stacks, strict: false) = stacks.sort_by { |stack| [key(stack, strict: strict), stack.id] }

      # The whole order but for the id in one small number, so that sorting compares numbers and nothing else.
      # @return [Integer]
      def key(stack, strict: false)
        last = strict ? stack.strict_until : stack.usable_until
        number = stack.no_opened_limit && stack.open ? 0 : 1
        number = (number << 23) | day(last)
        number = (number << 1) | (stack.open ? 0 : 1)
        number = (number << 1) | (stack.working ? 0 : 1)
        (number << 23) | day(stack.acquired_on)
      end

      # All foods by their last good day, undated last, then by id: as the store gives them.
      # @param stacks [Array<Stack>]
      # @return [Array<Stack>]
      def by_day(stacks) = stacks.sort_by { |stack| (day(stack.usable_until) << 40) | stack.id }

      # The order in which a hand meets stacks in one place: by kind and name of food, first date first.
      # @param stack [Stack]
      # @param food [Food, nil]
      # @return [Array] to sort by
      def in_hand(stack, food) = [food&.food_group.to_s, food&.name.to_s.downcase, day(stack.usable_until), stack.id]

      # @return [Integer] Julian day, FAR where there is none
      def day(date) = date ? [date.jd, FAR].min : FAR
    end
  end
end
