# frozen_string_literal: true

require_relative "../../core/dating/state"
require_relative "../../core/quantity/wording"

module NutShelf
  module Api
    # A stack as JSON. Written for thousands of rows: no value is computed twice and none needs a query.
    class StackView
      UNITS = { "mass" => "g", "volume" => "ml", "count" => "piece" }.freeze

      # @param room [Desk::Room]
      def initialize(room)
        @measures = room.measures
        @today = room.today
        @policy = room.policy
        @table = room.office.marks
        @marks = {}
        @days = {}
      end

      # @param row [Hash] of Store::Lots#shelf
      # @return [Hash]
      def call(row)
        usable = row[:usable_until]
        label = row[:label]
        { id: row[:id], food_id: row[:food_id], food: row[:food_name], name: label.empty? ? row[:food_name] : label, group: row[:food_food_group], place_id: row[:place_id],
          amount: amount(row), on_hand: decimal(row[:on_hand]), unit: UNITS.fetch(row[:dimension]), pack: row[:pack_amount] && decimal(row[:pack_amount]), noun: row[:noun],
          open: row[:open], frozen: row[:frozen], level: row[:level], state: state(row), days_left: usable && (usable.jd - @today.jd), usable_until: usable && iso(usable),
          flags: row[:flags].map { |flag| flag["code"] }, value_minor: row[:value_minor], value_estimated: row[:value_estimated], mark: mark(row) }
      end

      # @return [Symbol]
      def state(row) = Core::State.of(today: @today, policy: @policy, dates: row)

      def amount(row)
        on_hand = row[:on_hand]
        pack = row[:pack_amount]
        return worded(row) if row[:noun] || row[:open] || pack.nil?
        return worded(row) unless plain?(on_hand) && plain?(pack)

        packs(on_hand.to_i, pack.to_i, row[:dimension]) || worded(row)
      end

      private

      def mark(row)
        facts = row.values_at(:food_key, :food_reference_key, :food_aisle, :noun, :wrapping)
        @marks[facts] ||= @table.of(keys: facts.first(2), aisle: facts[2], noun: facts[3], wrapping: facts[4])
      end

      def iso(date) = @days[date.jd] ||= date.iso8601

      def plain?(number) = number.frac.zero?

      def decimal(number) = plain?(number) ? number.to_i.to_s : number.to_s("F")

      # Whole packs of whole grams are nearly all there is; they need no exact arithmetic.
      def packs(on_hand, pack, dimension)
        return unless on_hand.positive? && (on_hand % pack).zero? && (pack > 1 || dimension == "count")

        count = on_hand / pack
        return free(on_hand, dimension) if count == 1 || pack == 1

        "#{count} x #{free(pack, dimension)}"
      end

      def free(amount, dimension)
        return amount.to_s if dimension == "count"

        small, big = dimension == "mass" ? %w[g kg] : %w[ml l]
        return "#{amount} #{small}" if amount < 1000

        (amount % 1000).zero? ? "#{amount / 1000} #{big}" : Core::Wording.free(Core::Quantity.new(amount.to_r, dimension.to_sym))
      end

      def worded(row)
        dimension = row[:dimension].to_sym
        Core::Wording.stack(Core::Quantity.new(row[:on_hand].to_r, dimension), pack: row[:pack_amount] && Core::Quantity.new(row[:pack_amount].to_r, dimension), noun: row[:noun], open: row[:open], measures: @measures)
      end
    end
  end
end
