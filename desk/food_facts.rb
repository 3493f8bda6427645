# frozen_string_literal: true

require_relative "errors"
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
        refuse("/#{bad.first}", "A weight must be above zero.", "Weigh it and say how many grams.") if bad
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
        unless packs.all? { |said| said[:amount].positive? }
          refuse("/packs", "A pack holds more than nothing.", "Say how much one pack holds.")
        end
        packs
      end

      def refuse(pointer, message, remedy)
        raise(Invalid.new(message, code: "invalid", pointer: pointer, remedy: remedy))
      end
    end
  end
end
