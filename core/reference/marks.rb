# frozen_string_literal: true

module NutShelf
  module Core
    # Which drawn mark stands for a stack or a food, so that tinned and dried beans are told apart at a glance: by what
    # hands called the pack, by what it is wrapped in, by the food, by its aisle. Frozen.
    class Marks
      # Where nothing says anything.
      USUAL = "box"
      # Packs a hand counts: "2 tins".
      PACKS = %w[tin jar bottle carton bag sack box tub tube sachet loaf tray].freeze
      # What comes in glass is a jar, unless such food is poured.
      POURED = "bottle"

      # @param rows [Array<Hash>] of the table mark_of: "by" (noun, wrapping, food, aisle), "name", "mark"
      def initialize(rows)
        @by =
          rows
            .group_by { |row| row["by"] }
            .transform_values { |list| list.to_h { |row| row.values_at("name", "mark") } }
        @by.default = {}.freeze
        freeze
      end

      # @return [Array<String>] every mark a stack may get
      def all = [*@by.values.flat_map(&:values), USUAL].uniq

      # @param keys [Array<String, nil>] of the food, then of what it is like
      # @param aisle [String]
      # @param noun [String, nil] the pack as a hand called it
      # @param wrapping [String, nil] as somebody said
      # @return [String]
      def of(keys:, aisle:, noun: nil, wrapping: nil)
        kind = keys.filter_map { |key| @by["food"][key] }.first
        wrapped = @by["wrapping"][wrapping]
        wrapped = POURED if wrapped == "jar" && kind == POURED
        @by["noun"][noun] || wrapped || kind || @by["aisle"][aisle] || USUAL
      end
    end
  end
end
