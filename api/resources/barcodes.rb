# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/learn_barcode"

module NutShelf
  module Api
    # Codes that were learnt.
    class Barcodes < Base
      get("/") do
        view(:rules) do |work|
          { barcodes: work.house.packs.barcodes.map { |row| barcode(row, work) } }
        end
      end

      post("/") { act(Desk::LearnBarcode, body_as("LearnBarcode")) }

      helpers do
        def barcode(row, work)
          {
            code: row.code,
            food_id: row.food_id,
            food: work.food(row.food_id).name,
            pack: work.size(Core::Quantity.new(row.amount, row.dimension.to_sym))
          }
        end
      end
    end
  end
end
