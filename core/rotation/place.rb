# frozen_string_literal: true

require_relative "../dating/story"
require_relative "../value"

module NutShelf
  module Core
    # Where things stand in a house: `kind` "cupboard", "cool_dark", "fridge" or "freezer", `tier` "working",
    # "backstock" or "set_apart" (`kit_id`: for a kit, of which it is box `kit_box`), `reach` "hand", "steps" or "away"
    # (see BringForward), temperatures in whole degrees Celsius, `inner_mm` width, depth and height inside,
    # `fill_percent` as somebody said on `fill_said_on`; `checked_on`: when somebody looked through it last. While a
    # fridge or freezer is switched off it is a cupboard, and `cold_kind` says what it was; `off_spans`
    # [{"from", "to"}] when it was off. Frozen.
    Place =
      Value.of(
        :id, :name, :kind, :tier, :parent_id, :position, :low_c, :high_c, :inner_mm, :fill_percent, :fill_said_on,
        :count_every_days, :counted_on, :archived_at, :note, :version, :kit_id, :kit_box, :checked_on,
        :cold_kind, dark: false, reach: "steps", off_spans: [].freeze
      ) do
        # @return [Boolean] whether it is where hands take from
        def working? = tier == "working"

        # @return [Boolean] whether what stands there is nobody's to cook with
        def set_apart? = tier == "set_apart"

        # @return [Boolean]
        def freezer? = kind == "freezer"

        # @return [Boolean] whether it was taken away
        def gone? = !archived_at.nil?

        # @return [Boolean] whether its coldest is said to be warmer than its warmest
        def upside_down? = !low_c.nil? && !high_c.nil? && low_c > high_c

        # @return [Rational, nil] millilitres nothing stands in, as it was said last; nil where nobody measured it
        def free_ml
          return if inner_mm.nil? || fill_percent.nil?

          inner_mm.reduce(1r) { |product, side| product * side } / 1000 * (100 - fill_percent) / 100
        end

        # @return [Boolean] whether it is switched off now
        def off? = !cold_kind.nil?

        # @return [Date, nil] since when it is off
        def off_since = off? ? Date.iso8601(off_spans.last["from"]) : nil

        # @param day [Date, nil] nil: nobody knows when
        # @return [Standing] as far as dates care: a cupboard on the days it was off, and on a day nobody knows
        def standing(day)
          Standing.new(name: name, kind: was_off?(day) ? "cupboard" : cold_kind || kind, low_c: low_c, high_c: high_c)
        end

        private

        # On the day it is switched on again it is cold.
        def was_off?(day)
          off_spans.any? do |span|
            day.nil? || (day >= Date.iso8601(span["from"]) && (span["to"].nil? || day < Date.iso8601(span["to"])))
          end
        end
      end
  end
end
