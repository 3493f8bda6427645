# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/learn_barcode"

module NutShelf
  module Api
    # Codes that were learnt.
    class Barcodes < Base
      get("/") do
        view(:rules) do |room|
          { barcodes: room.house.packs.barcodes.map { |row| barcode(row, room) } }
        end
      end

      post("/") { act(Desk::LearnBarcode, body_as("LearnBarcode")) }

      helpers do
        def barcode(row, room)
          {
            code: row.code,
            food_id: row.food_id,
            food: room.food(row.food_id).name,
            pack: room.size(Core::Quantity.new(row.amount, row.dimension.to_sym))
          }
        end
      end
    end
  end
end
