# frozen_string_literal: true

require_relative "../value"
require_relative "outcome"

module NutShelf
  module Core
    # What left the house, added up. `value` and `grams`: kind to a sum, kinds nothing left by among them; `unweighed`:
    # how many outcomes nobody can weigh; `estimated`: minor units whose price was guessed. Frozen.
    Tally =
      Value.of(:value, :grams, :rescued, :estimated, :unweighed, :count) do
        # @param outcomes [Array<Outcome>]
        # @return [Tally]
        def self.of(outcomes)
          kinds = Outcome::KINDS.to_h { |kind| [kind, outcomes.select { |one| one.kind == kind }] }
          new(
            value: kinds.transform_values { |list| list.sum(&:value_minor) }.freeze,
            grams: kinds.transform_values { |list| list.sum(0r) { |one| one.grams || 0r } }.freeze,
            rescued: outcomes.select(&:rescued?).sum(&:value_minor),
            estimated: outcomes.select(&:estimated).sum(&:value_minor),
            unweighed: outcomes.count { |one| one.grams.nil? }, count: outcomes.size
          )
        end

        # @return [Integer] minor units that left
        def leaving = value.values.sum

        # @return [Integer] minor units binned or composted
        def wasted = value.values_at(*Outcome::WASTED).sum

        # @return [Rational] grams binned or composted
        def wasted_grams = grams.values_at(*Outcome::WASTED).sum

        # @return [Rational, nil] of what left, by value; nil where nothing of worth did
        def waste_rate = leaving.positive? ? Rational(wasted, leaving) : nil
      end
  end
end
