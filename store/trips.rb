# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Trips, and what is eaten on them.
    class Trips < Table
      # SELECT * FROM trips WHERE household_id = 7 AND archived_at IS NULL ORDER BY leaves_on, id
      # @return [Array<Rows::Trip>]
      def all = rows(:trips).where(archived_at: nil).order(:leaves_on, :id).all

      # @return [Rows::Trip]
      # @raise [Missing]
      def find(id) = found(rows(:trips).where(id: id, archived_at: nil).first, "trip")

      # SELECT * FROM trip_meals WHERE household_id = 7 AND trip_id = 3 AND archived_at IS NULL ORDER BY on_date, id
      # @return [Array<Rows::TripMeal>]
      def meals(trip_id) = rows(:trip_meals).where(trip_id: trip_id, archived_at: nil).order(:on_date, :id).all

      # SELECT * FROM box_wants WHERE household_id = 7 AND place_id = 3 AND archived_at IS NULL ORDER BY id
      # @return [Array<Rows::BoxWant>]
      def box_wants(place_id) = rows(:box_wants).where(place_id: place_id, archived_at: nil).order(:id).all

      # SELECT * FROM trip_meals WHERE household_id = 7 AND kind = 'food' AND dish = 'honey' AND archived_at IS NULL
      # @return [Array<Rows::TripMeal>] of any trip
      def meals_of(food_key)
        rows(:trip_meals).where(kind: "food", dish: food_key, archived_at: nil).order(:id).all
      end

      # SELECT * FROM box_wants WHERE household_id = 7 AND food_id = 3 AND archived_at IS NULL ORDER BY id
      # @return [Array<Rows::BoxWant>] in any box
      def wants_of(food_id) = rows(:box_wants).where(food_id: food_id, archived_at: nil).order(:id).all

      # @return [Array<Integer>] places that are boxes
      def boxes = rows(:box_wants).where(archived_at: nil).distinct.order(:place_id).select_map(:place_id)
    end
  end
end
