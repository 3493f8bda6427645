# frozen_string_literal: true

require_relative "../dating/story"
require_relative "../value"

module NutShelf
  module Core
    # Where things stand in a house: `kind` "cupboard", "cool_dark", "fridge" or "freezer", `tier` "working",
    # "backstock" or "set_apart" (`kit_id`: for a kit, of which it is box `kit_box`), `reach` "hand", "steps" or "away"
    # (see BringForward), temperatures in whole degrees Celsius, `inner_mm` width, depth and height inside,
    # `fill_percent` as somebody said on `fill_said_on`; `checked_on`: when somebody looked through it last. Frozen.
    Place =
      Value.of(
        :id, :name, :kind, :tier, :parent_id, :position, :low_c, :high_c, :inner_mm, :fill_percent, :fill_said_on,
        :count_every_days, :counted_on, :archived_at, :note, :version, :kit_id, :kit_box, :checked_on,
        dark: false, reach: "steps"
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

        # @return [Standing] as far as dates care
        def standing = Standing.new(name: name, kind: kind, low_c: low_c, high_c: high_c)
      end
  end
end
