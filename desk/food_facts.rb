# frozen_string_literal: true

require_relative "refusal"
require_relative "../core/quantity/unit"

module NutShelf
  module Desk
    # What a household says of a food's weights, packs and place, checked before it is stored.
    module FoodFacts
      private

      # @param input [Hash] any of :g_per_ml, :g_per_piece (decimal text or nil)
      # @return [Hash] columns of the food
      def weights(input)
        found = input.slice(:g_per_ml, :g_per_piece).transform_values { |text| text&.to_r }
        bad = found.compact.find { |_, value| !value.positive? }
        raise Refusal.of(:weight_not_above_zero, at: "/#{bad.first}") if bad

        found
      end

      # @param input [Hash] :home_place_id (nil: nowhere special)
      # @return [Hash] columns of the food
      def home(input)
        return {} unless input.key?(:home_place_id)

        { home_place_id: input[:home_place_id] && work.place(input[:home_place_id]).id }
      end

      # @param input [Hash] :packs as [{amount:, unit:}]
      # @return [Array<Hash>] :amount and :dimension of each
      def packs(input)
        packs =
          (input[:packs] || []).map do |said|
            { amount: said[:amount].to_r, dimension: Core::Unit.dimension(said[:unit]).to_s }
          end
        raise Refusal.of(:empty_pack, at: "/packs") unless packs.all? { |said| said[:amount].positive? }

        packs
      end
    end
  end
end
