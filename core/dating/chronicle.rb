# frozen_string_literal: true

module NutShelf
  module Core
    # Puts what happened to a stack in order: by day, then by the order within the day, then as it was told. What was
    # opened, cut or cooked and carried to its place on the same day counts as done there, whichever was noted first.
    module Chronicle
      IN_HAND = %i[opened cut cooked stored ripened].freeze

      module_function

      # @param story [Story]
      # @return [Array<Event>]
      def of(story)
        sorted = sorted(story.events)
        sorted = before_moves(sorted, story.place.freezer?)
        sorted.freeze
      end

      # An event of an unknown day stays where it was told.
      def sorted(events)
        day = nil
        keyed =
          events.each_with_index.map do |event, index|
            day = event.on || day
            [[day.to_s, event.order.to_i, index], event]
          end
        keyed.sort_by(&:first).map(&:last)
      end

      # @return [Array<Event>] with what was done in hand put before the move of its day
      def before_moves(events, frozen)
        events.each_with_object([]) do |event, list|
          index = hoisted?(event, frozen) ? first_in_hand(list, event.on) : list.size
          list.insert(index, event)
          frozen = in_freezer?(event, frozen)
        end
      end

      # Freezing is told as freezing or as a move there.
      def in_freezer?(event, before)
        { moved: event.place&.freezer?, frozen: true, thawed: false }.fetch(event.kind, before)
      end

      # Into and out of a freezer the order within a day matters.
      def hoisted?(event, frozen) = event.kind == :moved && event.on && !event.place.freezer? && !frozen

      # @return [Integer] where what was done in hand on that day begins
      def first_in_hand(list, day)
        list.size - list.reverse.take_while { |event| event.on == day && IN_HAND.include?(event.kind) }.size
      end
    end
  end
end
