# frozen_string_literal: true

require "base64"
require_relative "stack_view"
require_relative "../../desk/errors"

module NutShelf
  module Api
    # One page of the shelf, with totals on the first.
    class ShelfPage
      STATES = %w[stop look front soon resting undated not_ready].freeze

      # @param room [Desk::Room]
      # @param filters [Hash] :place_id, :food_id, :text, :state, :cursor, :limit
      def initialize(room, filters)
        @room = room
        @filters = filters
        @view = StackView.new(room)
        return if filters[:state].nil? || STATES.include?(filters[:state])

        raise Desk::Invalid.new("There is no state #{filters[:state]}.", code: "invalid", pointer: "/state", remedy: "Use one of #{STATES.join(', ')}.")
      end

      # @return [Hash]
      def call
        rows = @filters[:state] ? by_state : page
        more = rows.size > limit
        rows = rows.first(limit)
        { stacks: rows.map { |row| @view.call(row) }, next: more ? cursor(rows.last) : nil, totals: @filters[:cursor] ? nil : totals(more ? all : rows) }
      end

      private

      def limit = @filters[:limit]

      def all = @all ||= @room.house.lots.filtered(food_id: @filters[:food_id], place_ids: @filters[:place_id], text: @filters[:text]).all

      def page
        found = @room.house.lots.filtered(food_id: @filters[:food_id], place_ids: @filters[:place_id], text: @filters[:text])
        @room.house.lots.page(found, after: after, limit: limit + 1)
      end

      # States follow from today, so they are picked after the query; the order stays the same.
      def by_state
        wanted = @filters[:state].to_sym
        from = after
        all.select { |row| @view.state(row) == wanted && (from.nil? || key(row) > from) }.first(limit + 1).then { |rows| rows }
      end

      def totals(rows)
        counts = rows.map { |row| @view.state(row) }.tally
        { stacks: rows.size, value_minor: rows.sum { |row| row[:value_minor] }, **%i[front look stop undated].to_h { |state| [state, counts.fetch(state, 0)] } }
      end

      def key(row) = [row[:usable_until] || Date.new(9999, 12, 31), row[:id]].then { |date, id| (date.jd * (10**18)) + id }

      def cursor(row) = Base64.urlsafe_encode64("#{(row[:usable_until] || Date.new(9999, 12, 31)).iso8601}|#{row[:id]}", padding: false)

      def after
        return unless @filters[:cursor]

        date, id = Base64.urlsafe_decode64(@filters[:cursor]).split("|")
        pair = [Date.iso8601(date), Integer(id, 10)]
        @filters[:state] ? (pair[0].jd * (10**18)) + pair[1] : pair
      rescue ArgumentError, TypeError, NoMethodError
        raise Desk::Invalid.new("That place in the list is not known.", code: "invalid", pointer: "/cursor", remedy: "Start from the front.")
      end
    end
  end
end
