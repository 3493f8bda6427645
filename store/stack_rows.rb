# frozen_string_literal: true

require_relative "../core/dating/breaking"
require_relative "../core/planning/weight"
require_relative "../core/rotation/stack"
require_relative "lots"

module NutShelf
  module Store
    # Rows of Lots#narrow as stacks of the core: weighed, with their place and with what opening makes of them.
    # Written for thousands of rows: what is the same for many is found once. One use per shelf.
    class StackRows
      # What all stacks of one food share that are counted alike.
      Kind = Core::Value.of(:food, :dimension, :unit, :tolerance)

      # @param foods [#call] the household's id of a food to Core::Food
      # @param places [#call] id to Core::Place
      # @param openings [Core::Openings]
      # @param reserved [Hash{Integer=>Rational}] what is spoken for, in a stack's own units
      def initialize(foods:, places:, openings:, reserved: {})
        @foods = foods
        @places = places
        @openings = openings
        @reserved = reserved
        @kinds = {}
        @stands = {}
        @openers = {}
      end

      # @param row [Hash] of Lots#narrow
      # @return [Core::Stack]
      def stack(row)
        kind = @kinds[[row[:food_id], row[:dimension], row[:noun]]] ||= kind(row)
        place = @stands[row[:place_id]] ||= @places.call(row[:place_id])
        Core::Stack.new(
          **as_stored(row),
          **weighed(row, kind),
          food_key: kind.food.key,
          dimension: kind.dimension,
          place: place.name,
          working: place.working?,
          set_apart: place.set_apart? || row[:quarantined],
          no_opened_limit: kind.food.no_opened_limit,
          look_until: look_until(row, kind),
          opened: row[:open] ? nil : opened(row, kind, place)
        )
      end

      private

      SAME = %i[
        id food_id place_id label noun level value_minor value_estimated usable_until strict_until quality_until
        safety_until ready_on acquired_on basis situation wrapping container_id open quarantined stopped look_first
        age_unknown
      ].freeze
      NO_FLAGS = [].freeze
      private_constant :SAME, :NO_FLAGS

      def as_stored(row) = { **row.slice(*SAME), in_freezer: row[:frozen], flags: flags(row[:flags]) }

      def flags(list)
        return NO_FLAGS if list.empty?

        list.map { |flag| Core::Flag.new(code: flag["code"], text: flag["text"]) }.freeze
      end

      def weighed(row, kind)
        on_hand = Rational(row[:on_hand_micro], Lots::MICRO)
        pack = row[:pack_amount_micro] && Rational(row[:pack_amount_micro], Lots::MICRO)
        unit = kind.unit or return { on_hand: on_hand, pack_amount: pack }
        grams = on_hand * unit
        reserved = @reserved[row[:id]]
        {
          on_hand: on_hand,
          pack_amount: pack,
          grams_per_unit: unit,
          pack: pack ? pack * unit : unit,
          amount: reserved ? (on_hand - reserved) * unit : grams,
          minor_per_gram: grams.positive? ? row[:value_minor] / grams : 0r
        }
      end

      def kind(row)
        food = @foods.call(row[:food_id])
        dimension = row[:dimension].to_sym
        unit = Core::Weight.of_unit(food, dimension, row[:noun])
        Kind.new(
          food: food,
          dimension: dimension,
          unit: unit&.positive? ? unit.to_r : nil,
          tolerance: food.shelf_stable? ? food.past_date_tolerance_days : 0
        )
      end

      def opened(row, kind, place)
        asked = [row[:food_id], row[:dimension], row[:pack_amount_micro], row[:place_id], row[:situation], row[:frozen]]
        return @openers[asked] if @openers.key?(asked)

        pack = row[:pack_amount_micro] && Rational(row[:pack_amount_micro], Lots::MICRO)
        how = Core::Breaking.kind(kind.food, dimension: kind.dimension, pack: pack)
        @openers[asked] = @openings.of(kind.food, how, place, situation: row[:situation], frozen: row[:frozen])
      end

      # Only a sealed pack that belongs on the shelf may be planned with a look, within the tolerance of its class.
      def look_until(row, kind)
        return if row[:open] || row[:frozen] || row[:quality_until].nil?

        kind.tolerance.positive? ? row[:quality_until] + kind.tolerance : nil
      end
    end
  end
end
