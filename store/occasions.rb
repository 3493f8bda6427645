# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Meals that come round: what is usual about them, and how they were each time.
    class Occasions < Table
      # SELECT * FROM occasions WHERE household_id = 7 AND archived_at IS NULL ORDER BY name, id
      # @return [Array<Rows::Occasion>]
      def all = rows(:occasions).where(archived_at: nil).order(:name, :id).all

      # @return [Rows::Occasion]
      # @raise [Missing]
      def find(id) = found(rows(:occasions).where(id: id, archived_at: nil).first, "occasion")

      # SELECT * FROM occasion_times WHERE household_id = 7 AND occasion_id = 3 AND archived_at IS NULL ORDER BY on_date
      # @param id [Integer] of an occasion
      # @return [Array<Rows::OccasionTime>] the latest first
      def times(id) = rows(:occasion_times).where(occasion_id: id, archived_at: nil).reverse(:on_date, :id).all
    end
  end
end
