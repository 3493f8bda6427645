# frozen_string_literal: true

require "bigdecimal"
require "time"
require_relative "../../core/dating/policy"
require_relative "../../core/kits/figures"
require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../core/quantity/unit"
require_relative "../../core/dating/own_time"
require_relative "../../core/reference/recipe"
require_relative "../../core/trips/cold_kept"
require_relative "../case_file"

module NutShelf
  module Exchange
    module TripCases
      # Reads what cases of the bench and of trips have in common, and writes numbers: as text, rounded half up.
      class Reading
        MEALS = Core::Trips::ColdKept::MEALS.keys.freeze
        PLACES = Core::OwnTime::PLACES
        SITUATIONS = Core::OwnTime::SITUATIONS
        PRINTED = %w[best_before use_by].freeze
        SCHOOLS = %w[look_then_decide by_the_date].freeze

        attr_reader :case, :catalog

        # @param one [CaseFile::Case]
        # @param catalog [Core::Catalog]
        def initialize(one, catalog)
          @case = one
          @catalog = catalog
        end

        # @return [Core::Kits::Figures] what is usual
        def figures = @figures ||= Core::Kits::Figures.new(targets: catalog.targets)

        # @return [Core::Policy]
        def policy
          Core::Policy.new(school: @case.one_of("school", SCHOOLS, usual: SCHOOLS.first).to_sym)
        end

        # @return [Core::Food]
        def food(key, one = @case, field = "food")
          catalog.foods.fetch(key) { one.bad(field, key, "Use the key of a food.") }
        end

        # @return [Object] the row of a table of trips
        def row(table, key, field = table.to_s)
          catalog.trips.public_send(table).fetch(key) { @case.bad(field, key, "Use a key of that table.") }
        end

        # @return [Rational]
        def number(field, one = @case, usual: nil) = one.number(field, usual: usual)

        # @return [Symbol, nil] what a printed date is
        def printed_kind(one) = one.one_of_if("printed_kind", PRINTED)&.to_sym

        # @return [String]
        def place(one, field = "place") = one.one_of(field, PLACES, usual: "cupboard")

        # @return [String]
        def situation(one) = one.one_of("situation", SITUATIONS, usual: "bought_sealed")

        # @return [String]
        def meal(one) = one.one_of("meal", MEALS)

        # @return [Rational] that may lie below 0
        def signed(field, one = @case) = one.decimal(field)

        # @return [Time] as it is told, without a zone
        def moment(field, one = @case)
          Time.iso8601("#{one[field].to_s[0, 16]}:00Z")
        rescue ArgumentError
          one.bad(field, one[field], "Write a moment like 2027-08-02T07:00.")
        end

        # @return [Integer]
        def count(field, one = @case, usual: nil) = one[field].nil? && usual ? usual : one.whole(field)

        # @param lines [Array<CaseFile::Case>] of {food, quantity, unit}
        # @return [Array<Core::RecipeLine>]
        def lines(lines)
          lines.map do |one|
            food(one["food"], one)
            unit = one.one_of("unit", Core::Unit::TABLE.keys, usual: "g")
            Core::RecipeLine.new(food_key: one["food"], quantity: Core::Quantity.of(one.positive("quantity"), unit))
          end
        end

        # @param value [Numeric]
        # @param places [Integer]
        # @return [String] half up, without needless zeros
        def text(value, places = 0) = Core::Decimal.print(half_up(value, places))

        # @return [String] rounded up: what must be had
        def up(value, places = 0) = Core::Decimal.print((value.to_r * (10**places)).ceil / (10**places).to_r)

        private

        def half_up(value, places) = ((value.to_r * (10**places)) + (1/2r)).floor / (10**places).to_r
      end
    end
  end
end
