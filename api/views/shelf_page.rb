# frozen_string_literal: true

require "base64"
require_relative "stack_view"
require_relative "../../core/rotation/order"
require_relative "../../desk/refusal"

module NutShelf
  module Api
    # One page of the shelf, first date first, with totals on the first page.
    class ShelfPage
      STATES = %w[stop look front soon resting undated not_ready].freeze
      COUNTED = %i[front look stop undated].freeze

      # @param work [Desk::UnitOfWork]
      # @param filters [Hash] :place_id, :food_id, :text, :state, :cursor, :limit
      def initialize(work, filters)
        @work = work
        @filters = filters
        @view = StackView.new(work)
        return if filters[:state].nil? || STATES.include?(filters[:state])

        raise Desk::Refusal.of(:unknown_state, at: "/state", state: filters[:state], states: STATES.join(", "))
      end

      # @return [Hash]
      def call
        found = following
        shown = found.first(@filters[:limit])
        {
          stacks: shown.map { |stack| @view.call(stack) },
          next: found.size > shown.size ? cursor(shown.last) : nil,
          totals: @filters[:cursor] ? nil : totals
        }
      end

      private

      def all
        @all ||=
          @work.stacks_like(**@filters.slice(:place_id, :food_id, :text)).then do |found|
            @filters[:state] ? found.select { |stack| @view.state(stack) == @filters[:state].to_sym } : found
          end
      end

      def following
        from = after or return all
        all.drop_while { |stack| (turn(stack) <=> from) < 1 }
      end

      def totals
        counts = all.map { |stack| @view.state(stack) }.tally
        {
          stacks: all.size,
          value_minor: all.sum(&:value_minor),
          **COUNTED.to_h { |state| [state, counts.fetch(state, 0)] }
        }
      end

      def turn(stack) = [Core::Order.day(stack.usable_until), stack.id]

      def cursor(stack) = Base64.urlsafe_encode64(turn(stack).join("|"), padding: false)

      def after
        return unless @filters[:cursor]

        day, id = Base64.urlsafe_decode64(@filters[:cursor]).split("|")
        [Integer(day, 10), Integer(id, 10)]
      rescue ArgumentError, TypeError
        raise Desk::Refusal.of(:unknown_cursor, at: "/cursor")
      end
    end
  end
end
