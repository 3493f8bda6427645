# frozen_string_literal: true

require "forwardable"
require_relative "../value"
require_relative "order"

module NutShelf
  module Core
    # A warning that goes with a stack: a code and a sentence. Frozen.
    Flag = Value.of(:code, :text)

    # What a stack, or what remains of a pack of it, says of itself.
    module OnTheShelf
      # @param food [Food]
      # @return [String] what somebody called it, else what it is
      def name(food) = label.empty? ? food.name : label

      # @return [Boolean] whether a plan can draw on it by weight
      def weighed? = !amount.nil? && level.nil?

      # @return [Rational] what of it is free, in its own units
      def free = on_hand - reserved

      # @return [Boolean] whether nothing of it is free
      def set_apart? = reserved >= on_hand

      # @return [Boolean] whether a usual pack stands for packs of unknown size
      def guessed? = !noun.nil?

      # @param strict [Boolean] as those see it who go by the date
      # @return [Date, nil]
      def until_on(strict: false) = strict ? strict_until : usable_until

      # @param on [Date] day of use
      # @param allow_look [Boolean] whether what must be looked at first may be planned
      # @param strict [Boolean]
      # @return [Boolean] whether a plan may use what of it is free
      def eligible?(on, allow_look: false, strict: false)
        return false if quarantined || unfit?(on) || (ready_on && on < ready_on)

        last = strict ? strict_until : usable_until
        last.nil? || last >= on || (allow_look && !strict && look?(on))
      end

      # @return [Boolean] whether a careful person would not eat it that day, look or no look
      def unfit?(on) = stopped || unknown? || past_safety?(on)

      # @return [Boolean] whether its last safe day lies before that day
      def past_safety?(on) = !safety_until.nil? && safety_until < on

      # @return [Boolean] whether nobody knows how old it is, or how long it has been open: no plan uses it
      def unknown? = age_unknown || look_first

      # @return [Boolean] whether it may be used that day once somebody has looked at it
      def look?(on) = !look_until.nil? && !usable_until.nil? && usable_until < on && on <= look_until

      # @return [Boolean] whether taking a part means breaking a seal, or cutting into a piece
      def sealed_packs? = !open && !pack.nil? && pack > 1

      # @return [Integer] its turn among stacks of one food, see Order
      def turn(strict: false) = Order.key(self, strict: strict)

      # What remains of one pack that is opened on a day.
      # @param rest [Rational] grams
      # @param on [Date]
      # @return [OpenedRest]
      def rest_of(rest, on) = OpenedRest.new(self, rest, on)
    end

    # A stack as it stands on the shelf, weighed. Amounts are Rational: `on_hand` and `pack_amount` in its own base
    # units (g, ml, pieces), `reserved` of them (set apart: plans leave it alone), `amount` (less what is reserved) and
    # `pack` in grams, `minor_per_gram` what a gram of it is worth. `amount` is nil where nothing says what a unit of it
    # weighs. Dates as the dating rules gave them, `strict_until` for those who go by the date; `look_until`: last day a
    # look could still cover it, nil for what may not be planned with a look; `age_unknown`: high-risk food of unknown
    # age. `opened`: what becomes of it once a pack is opened, nil where that changes nothing. Frozen.
    Stack =
      Value.of(
        :id,
        :food_id,
        :food_key,
        :place_id,
        :place,
        :label,
        :dimension,
        :noun,
        :level,
        :on_hand,
        :pack_amount,
        :amount,
        :pack,
        :grams_per_unit,
        :minor_per_gram,
        :usable_until,
        :strict_until,
        :quality_until,
        :safety_until,
        :look_until,
        :ready_on,
        :acquired_on,
        :basis,
        :situation,
        :wrapping,
        :opening,
        :container_id,
        :opened,
        value_minor: 0,
        value_estimated: false,
        flags: [].freeze,
        open: false,
        in_freezer: false,
        no_opened_limit: false,
        working: true,
        reserved: 0r,
        quarantined: false,
        stopped: false,
        look_first: false,
        age_unknown: false
      ) do
        include OnTheShelf
      end

    # What remains of one pack once it is opened, as the stack it came from but for its amounts and dates: thousands of
    # packs are opened in one walk through a year, so it holds no more than what is different. Frozen.
    class OpenedRest
      include OnTheShelf

      OWN = %i[
        amount on_hand pack_amount pack open usable_until strict_until safety_until look_until place_id place
      ].freeze
      extend Forwardable

      def_delegators :@stack, *(Stack::FIELDS - OWN)
      attr_reader(*OWN)

      # @param stack [Stack] as it was sealed
      # @param grams [Rational]
      # @param on [Date] day of opening
      def initialize(stack, grams, on)
        @stack = stack
        @amount = grams
        @on_hand = grams / stack.grams_per_unit
        @open = true
        (stack.opened ? stack.opened.dates(stack, on) : unchanged).each do |name, value|
          instance_variable_set(:"@#{name}", value)
        end
        freeze
      end

      private

      def unchanged = @stack.slice(:usable_until, :strict_until, :safety_until, :look_until, :place_id, :place)
    end
  end
end
