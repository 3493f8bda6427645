# frozen_string_literal: true

require_relative "../core/rotation/once_opened"
require_relative "../core/rotation/shelf"
require_relative "../store/stack_rows"

module NutShelf
  module Desk
    # The household's stock as one Core::Shelf, from one query; or some rows of it as stacks.
    class ShelfOf
      # @param room [Room]
      def initialize(room)
        @room = room
      end

      # @return [Core::Shelf]
      def shelf
        foods = @room.every_food
        Core::Shelf.new(
          of(@room.house.lots.narrow),
          foods: foods.to_h { |_, food| [food.key, food] }.freeze,
          food_ids: foods.to_h { |id, food| [food.key, id] }.freeze,
          today: @room.today
        )
      end

      # @param narrow [Sequel::Dataset] of Store::Lots#narrow
      # @return [Array<Core::Stack>]
      def of(narrow)
        rows = narrow.all
        @room.know_foods(Store::StackRows.food_ids(rows))
        maker = Store::StackRows.new(foods: @room.method(:food), places: @room.method(:place), openings: @room.openings)
        rows.map { |row| maker.stack(row) }
      end

      # @return [Core::Openings] what becomes of a pack once it is opened, in this house
      def openings
        fridge = @room.places.values.find { |place| place.kind == "fridge" }
        Core::Openings.new(catalog: @room.catalog, policy: @room.policy, fridge: fridge)
      end
    end
  end
end
