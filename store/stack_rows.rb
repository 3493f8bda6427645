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

      # @param rows [Array<Hash>] of Lots#narrow
      # @return [Array<Integer>] whose foods must be known
      def self.food_ids(rows) = rows.map { |row| row[:food_id] }.uniq

      # Spelt out, field by field, so that no hash is made for any of thousands.
      # @param row [Hash] of Lots#narrow
      # @return [Core::Stack]
      def stack(row) # rubocop:disable Metrics/AbcSize -- see above
        kind = @kinds[[row[:food_id], row[:dimension], row[:noun]]] ||= kind(row)
        place = @stands[row[:place_id]] ||= @places.call(row[:place_id])
        food = kind.food
        unit = kind.unit
        on_hand = Rational(row[:on_hand_micro], Lots::MICRO)
        reserved = reserved(row, on_hand, place)
        pack = row[:pack_amount_micro] && Rational(row[:pack_amount_micro], Lots::MICRO)
        Core::Stack.new(
          id: row[:id], food_id: row[:food_id], food_key: food.key, place_id: row[:place_id], place: place.name,
          label: row[:label], dimension: kind.dimension, noun: row[:noun], level: row[:level], on_hand: on_hand,
          pack_amount: pack, reserved: reserved, grams_per_unit: unit, amount: unit && ((on_hand - reserved) * unit),
          pack: unit && (pack ? pack * unit : unit), minor_per_gram: unit && worth(row[:value_minor], on_hand * unit),
          value_minor: row[:value_minor], value_estimated: row[:value_estimated], usable_until: row[:usable_until],
          strict_until: row[:strict_until], quality_until: row[:quality_until], safety_until: row[:safety_until],
          look_until: look_until(row, kind), ready_on: row[:ready_on], acquired_on: row[:acquired_on],
          basis: row[:basis], situation: row[:situation], wrapping: row[:wrapping], opening: row[:opening],
          container_id: row[:container_id],
          flags: flags(row[:flags]), open: row[:open], in_freezer: row[:frozen], quarantined: row[:quarantined],
          no_opened_limit: food.no_opened_limit, working: place.working?, stopped: row[:stopped],
          look_first: row[:look_first],
          age_unknown: row[:age_unknown], opened: row[:open] ? nil : opened(row, kind, place)
        )
      end

      private

      NO_FLAGS = [].freeze
      private_constant :NO_FLAGS

      # All of it where its place is one that is left alone; what is not there any more cannot be kept.
      def reserved(row, on_hand, place)
        return on_hand if place.set_apart?

        (held = @reserved[row[:id]]) ? [held, on_hand].min : 0r
      end

      def worth(minor, grams) = grams.positive? ? minor / grams : 0r

      def flags(list)
        return NO_FLAGS if list.empty?

        list.map { |flag| Core::Flag.new(code: flag["code"], text: flag["text"]) }.freeze
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
