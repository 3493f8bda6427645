# frozen_string_literal: true

require_relative "../../core/rotation/crossed"
require_relative "stack_view"

module NutShelf
  module Api
    # Foods whose newer stack stands at hand while the older waits elsewhere.
    class CrossedView
      # @param room [Desk::Room]
      # @param pantry_of [Desk::PantryOf]
      def initialize(room, pantry_of)
        @room = room
        @pantry_of = pantry_of
      end

      # @param place_id [Integer, nil] only pairs that touch this place
      # @return [Array<Hash>] :kind, :stack (the older one) and :text
      def call(place_id = nil)
        pairs = @pantry_of.pantry.holdings.values.filter_map { |list| Core::Crossed.pair(list.map(&:stock), on: @room.today) }
        pairs = pairs.select { |pair| [pair.near, pair.far].any? { |stock| @pantry_of.lot(stock.id)[:place_id] == place_id } } if place_id
        pairs.map { |pair| { kind: "crossed", stack: StackView.new(@room).call(@room.house.lots.shelf_row(pair.far.id)), text: words(pair) } }
      end

      private

      def words(pair)
        "The newer stands in #{pair.near.place} (#{Core::Words.day(pair.near.usable_until)}), the older in #{pair.far.place} (#{Core::Words.day(pair.far.usable_until)}): swap them, or the older waits too long."
      end
    end
  end
end
