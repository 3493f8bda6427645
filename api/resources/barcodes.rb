# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/learn_barcode"

module NutShelf
  module Api
    # Codes that were learnt.
    class Barcodes < Base
      get("/") do
        view(:rules) do |room|
          {
            barcodes:
              room.house.packs.barcodes.map do |row|
                {
                  code: row.code,
                  food_id: row.food_id,
                  food: room.food_row(row.food_id).name,
                  pack: words(row, room)
                }
              end
          }
        end
      end

      post("/") { act(Desk::LearnBarcode, body_as("LearnBarcode")) }

      helpers { def words(row, room) = room.size(Core::Quantity.new(row.amount, row.dimension.to_sym)) }
    end
  end
end
