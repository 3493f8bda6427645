# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # What is to be bottled and dried at the next harvest.
    class Season < Table
      # SELECT * FROM season_lines WHERE household_id = 7 AND archived_at IS NULL ORDER BY harvest_on, id
      # @return [Array<Rows::SeasonLine>]
      def all = rows(:season_lines).where(archived_at: nil).order(:harvest_on, :id).all

      # @return [Rows::SeasonLine]
      # @raise [Missing]
      def find(id) = found(rows(:season_lines).where(id: id, archived_at: nil).first, "line of the season")
    end
  end
end
