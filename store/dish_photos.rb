# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # What dishes look like.
    class DishPhotos < Table
      # SELECT * FROM dish_photos WHERE household_id = 7 AND dish_id = 3 AND archived_at IS NULL ORDER BY id DESC
      # @return [Rows::DishPhoto, nil] the latest picture of a dish
      def latest(dish_id) = rows(:dish_photos).where(dish_id: dish_id, archived_at: nil).reverse(:id).first

      # SELECT count(*) FROM dish_photos WHERE household_id = 7 AND dish_id = 3 AND archived_at IS NULL
      # @return [Integer]
      def count(dish_id) = rows(:dish_photos).where(dish_id: dish_id, archived_at: nil).count

      # SELECT max(id) FROM dish_photos WHERE household_id = 7 AND dish_id = 3 AND archived_at IS NULL
      # @return [Integer, nil] id of the latest picture
      def stamp(dish_id) = rows(:dish_photos).where(dish_id: dish_id, archived_at: nil).max(:id)

      # @return [Integer] id
      def add(dish_id, media_type, bytes)
        insert(:dish_photos, dish_id: dish_id, media_type: media_type, bytes: Sequel.blob(bytes))
      end
    end
  end
end
