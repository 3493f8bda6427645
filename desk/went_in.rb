# frozen_string_literal: true

module NutShelf
  module Desk
    # By which lot texts and packs a recall finds again what went into a jar or a dish, also by way of another jar.
    module WentIn
      module_function

      # @param lots [Array<Store::Rows::Lot>] what goes in
      # @return [Hash] "lot_texts" and "pack_ids", for the event that remembers it; empty lists left out
      def of(lots)
        {
          "lot_texts" => lots.flat_map { |lot| [lot.lot_text.to_s, *remembered(lot, "lot_texts")] },
          "pack_ids" => lots.flat_map { |lot| [lot.pack_id, *remembered(lot, "pack_ids")] }
        }.transform_values { |list| list.compact.map(&:to_s).reject(&:empty?).uniq }.reject { |_, list| list.empty? }
      end

      # @return [Array] what its story remembers under a name
      def remembered(lot, name) = lot.history.flat_map { |event| Array(event[name]) }
    end
  end
end
