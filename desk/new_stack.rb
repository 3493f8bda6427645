# frozen_string_literal: true

require_relative "day"
require_relative "pack_opening"
require_relative "../core/dating/breaking"
require_relative "../core/dating/came_in"
require_relative "../core/planning/weight"
require_relative "../core/quantity/money"
require_relative "refusal"

module NutShelf
  module Desk
    # Turns what a label line (or an import row) says into a stack.
    class NewStack
      MAX = 1_000_000_000
      DAYS = %i[printed_on made_on opened_on frozen_on thawed_on occurred_on].freeze

      # @param work [UnitOfWork]
      # @param input [Hash] see PutAway
      # @param acquired [Boolean] false when the day of purchase is not known (imports)
      def initialize(work, input, acquired: true)
        @work = work
        @input = input
        @acquired = acquired
        check
      end

      # @return [Date] the day it came
      def occurred_on = @occurred_on ||= day(:occurred_on) || @work.on

      # @return [String] "3 x 400 g Chickpeas, canned"
      def words
        stack =
          Store::Rows::Lot.new(
            on_hand: quantity, pack_amount: pack_amount, dimension: dimension.to_s, noun: noun, open: came_in.open?
          )
        @work.named(stack, name)
      end

      # @param entry [Entry]
      # @return [Store::Rows::Lot] as stored
      def write(entry)
        lot = entry.new_lot(facts)
        PackOpening.learn(@work, entry, lot.pack_id, @input[:opening])
        note_price(entry, lot)
        entry.move(lot, quantity, value, came_in.bought? ? "bought" : "made")
      end

      # A count found it: nobody knows when it came.
      # @param entry [Entry]
      def found(entry)
        lot = entry.new_lot({ **facts, seen_on: @work.today })
        entry.move(lot, quantity, value, "found", why: "counted")
      end

      # @param dry [Boolean] true leaves the pack table alone
      # @return [Hash] columns of the new stack
      def facts(dry: false)
        {
          food_id: @input[:food_id],
          place_id: @input[:place_id],
          label: @input[:label].to_s.strip,
          dimension: dimension.to_s,
          pack_amount: pack_amount,
          noun: noun,
          situation: came_in.situation,
          open: came_in.open?,
          acquired_on: acquired_on,
          made_on: came_in.began_on(occurred_on),
          printed_on: day(:printed_on),
          printed_kind: @input[:printed_kind],
          leftover_days: @input[:leftover_days],
          history: history,
          value_estimated: @input[:estimated] || @input[:price_minor].nil?,
          **(dry ? {} : { pack_id: pack_id, opening: PackOpening.known(@work, pack_id) }),
          **@input.slice(:method, :wrapping, :opening, :lot_text, :directions, :bought_for).compact,
          **set_apart
        }
      end

      # @return [Rational] everything, in base units
      def quantity = count * (pack_amount || 1)

      # @return [Integer] what was paid, or an estimate by food group
      def value = @value ||= @input[:price_minor] || estimate

      # @return [Core::CameIn]
      def came_in
        @came_in ||=
          Core::CameIn.new(
            food: food, state: @input[:state], opened_on: day(:opened_on), frozen_on: day(:frozen_on),
            thawed_on: day(:thawed_on), made_on: day(:made_on)
          )
      end

      # @return [Integer]
      def food_id = @input[:food_id]

      # @return [Integer]
      def place_id = @input[:place_id]

      # @return [Rational, nil] base units of one pack
      def pack = pack_amount

      # @return [Date, nil]
      def printed_on = day(:printed_on)

      # @return [String, nil] the word for a pack of which nobody said the size
      def noun
        @noun ||=
          @input[:amount].nil? ? blank(@input[:noun]) || (food.aisle == "Home leftovers" ? "portion" : "pack") : nil
      end

      # @return [Symbol] :mass, :volume or :count
      def dimension = @input[:amount].nil? ? :count : Core::Unit.dimension(@input.fetch(:unit))

      # @return [Core::Food]
      def food = @food ||= @work.food(@input[:food_id])

      private

      def check
        raise Refusal.of(:count_not_above_zero, at: "/count") unless count.round(6).positive? && count < MAX
        if @input[:amount] && !@input[:amount].to_s.to_r.round(6).positive?
          raise Refusal.of(:size_not_above_zero, at: "/amount")
        end
        raise Refusal.of(:unit_missing, at: "/unit") if @input[:amount] && !@input[:unit]
        raise Refusal.of(:too_much_for_a_house, at: "/amount") if quantity >= MAX * 100
        raise Refusal.of(:date_kind_missing, at: "/printed_kind") if @input[:printed_on] && !@input[:printed_kind]
        raise Refusal.of(:date_missing, at: "/printed_on") if @input[:printed_kind] && !@input[:printed_on]

        @work.place_in_use(@input[:place_id])
        food
        DAYS.each { |field| day(field) }
        later_than_today(:opened_on, :frozen_on, :thawed_on, :made_on, :occurred_on)
      end

      def later_than_today(*fields)
        fields.each do |field|
          raise Refusal.of(:day_not_come, at: "/#{field}", day: day(field)) if day(field) && day(field) > @work.today
        end
      end

      # A list may say that something is not to eat; it comes in as that.
      def set_apart
        @input[:set_apart] ? { quarantined: true, quarantine_reason: @input[:set_apart].to_s[0, 200] } : {}
      end

      # Food made at home starts on the day it was made, not on the day it was noted.
      def acquired_on = @acquired && came_in.bought? ? occurred_on : nil

      def history
        [[:opened_on, "opened"], [:frozen_on, "frozen"]].filter_map do |field, kind|
          day(field) && { "kind" => kind, "on" => day(field).iso8601 }
        end
          .sort_by { |event| event["on"] } + cut + cooked_from
      end

      # Half an onion is a cut one.
      def cut
        half = quantity < 1 && Core::Breaking.kind(food, dimension: dimension, pack: pack_amount) == :cut
        half ? [{ "kind" => "cut", "on" => occurred_on.iso8601 }] : []
      end

      # A dish remembers what was cooked before it went in.
      def cooked_from
        @input[:from].to_h.any? ? [{ "kind" => "cooked", "on" => occurred_on.iso8601, **@input[:from] }] : []
      end

      def count = @count ||= @input[:count].to_s.to_r

      def pack_amount = @input[:amount].nil? ? nil : @input[:amount].to_s.to_r

      def pack_id
        return unless pack_amount

        @work.house.packs.ensure(food_id: @input[:food_id], amount: pack_amount, dimension: dimension.to_s)
      end

      def estimate
        grams = Core::Weight.of_unit(food, dimension, noun)
        Core::Money.estimate(
          (grams || 200r) * quantity,
          food.food_group,
          @work.household.settings.fetch("price_per_kg", {})
        )
      end

      # What was bought has a price; what was made or is left over has only a share of what went in. Of a pack whose
      # size nobody knows the price says nothing about a gram or a piece.
      def note_price(entry, lot)
        return unless came_in.bought? && noun.nil? && @input[:price_minor]&.positive? && quantity.round(6).positive?

        @work.house.packs.add_price(
          food_id: lot.food_id,
          pack_id: lot.pack_id,
          act_id: entry.act_id,
          price_minor: @input[:price_minor],
          amount: quantity,
          dimension: dimension.to_s,
          observed_on: occurred_on,
          shop_id: @input[:shop_id]
        )
      end

      def name = blank(@input[:label]) || food.name

      def day(field) = Day.read(field, @input[field])

      def blank(text) = text.nil? || text.strip.empty? ? nil : text.strip
    end
  end
end
