# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Bags that a household put together itself.
    class OwnBags < Table
      # SELECT * FROM own_bags WHERE household_id = 7 AND archived_at IS NULL ORDER BY name
      # @return [Array<Rows::OwnBag>]
      def all = rows(:own_bags).where(archived_at: nil).order(:name, :id).all

      # @return [Rows::OwnBag]
      # @raise [Missing]
      def find(id) = found(rows(:own_bags).where(id: id, archived_at: nil).first, "bag of your own")

      # @return [Array<String>] keys that were ever used
      def keys = rows(:own_bags).select_map(:key)
    end
  end
end
