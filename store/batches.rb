# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # What is frozen, dried and bottled at home, batch by batch.
    class Batches < Table
      # SELECT * FROM batches WHERE household_id = 7 AND archived_at IS NULL ORDER BY begun_on, id
      # @return [Array<Rows::Batch>]
      def all = rows(:batches).where(archived_at: nil).order(:begun_on, :id).all
    end
  end
end
