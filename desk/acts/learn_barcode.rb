# frozen_string_literal: true

require_relative "../act"
require_relative "../../core/scan/check_digit"
require_relative "../refusal"

module NutShelf
  module Desk
    # An unknown barcode is learnt once: which food, and how much one pack holds.
    class LearnBarcode < Act
      private

      # @param input [Hash] :code, :food_id, :amount and :unit of one pack
      def perform(input)
        raise Refusal.of(:check_digit, at: "/code", code: input[:code]) unless Core::CheckDigit.valid?(input[:code])

        food = work.food_row(input[:food_id])
        raise Refusal.of(:empty_pack, at: "/amount") unless input[:amount].to_r.positive?

        pack =
          house.packs.ensure(
            food_id: food.id,
            amount: input[:amount].to_r,
            dimension: Core::Unit.dimension(input[:unit]).to_s
          )
        code = Core::CheckDigit.gtin14(input[:code])
        before = house.packs.by_barcode(code)
        house.packs.learn_barcode(code: code, pack_id: pack)
        learnt =
          entry(
            "learn_barcode",
            "Learnt #{input[:code]}: #{work.size(Core::Quantity.of(input[:amount], input[:unit]))} #{food.name}",
            subject: pack
          )
        house.records.event(
          act_id: learnt.act_id,
          record: "barcode",
          record_id: code.to_i,
          before: {
            pack_id: before&.id
          },
          after: {
            pack_id: pack
          }
        )
        done(learnt, food_id: food.id)
      end
    end
  end
end
