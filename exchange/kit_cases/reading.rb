# frozen_string_literal: true

require "time"
require_relative "../../core/dating/own_time"
require_relative "../../core/kits/figures"
require_relative "../../core/kits/person"
require_relative "../../core/kits/supply_stack"
require_relative "../../core/quantity/quantity"
require_relative "../case_file"

module NutShelf
  module Exchange
    module KitCases
      # Reads what cases of kits have in common: people, animals, packs, moments; and writes numbers.
      class Reading
        PACK = /\A(\d+(?:\.\d+)?)(g|kg|ml|l)?\z/
        PLACES = Core::OwnTime::PLACES
        DAY = /\A\d\d-\d\d\z/
        PERSON_FLAGS = %w[pregnant nursing formula_fed].freeze

        attr_reader :case, :catalog

        # @param one [CaseFile::Case]
        # @param catalog [Core::Catalog]
        def initialize(one, catalog)
          @case = one
          @catalog = catalog
        end

        # @return [Core::Kits::Figures] at the level of the case
        def figures
          Core::Kits::Figures.new(targets: catalog.targets, level: choice("level", %w[low usual high], "usual"))
        end

        # @return [Boolean]
        def yes(field, one = @case, usual: false) = one[field].nil? ? usual : one[field] == true

        # @param words [Array<String>]
        # @return [Symbol, nil]
        def choice(field, words, usual = nil, one = @case)
          said = one[field] || usual or return
          words.include?(said) ? said.to_sym : one.bad(field, said, "Use #{words.join(", ")}.")
        end

        # @param field [String]
        # @return [Array<Core::Kits::Person>]
        def people(field) = @case.list(field).map { |one| person(one) }

        # @return [Array<Core::Kits::Pet>]
        def pets
          @case.list("pets").map do |one|
            Core::Kits::Pet.new(name: one["name"].to_s, species: one["species"].to_s, kg: one.amount("kg"))
          end
        end

        # @return [Array<Core::Kits::SupplyStack>]
        def stacks(field = "stacks") = @case.list(field).map { |one| stack(one) }

        # @param one [CaseFile::Case]
        # @return [Core::Kits::SupplyStack]
        def stack(one)
          Core::Kits::SupplyStack.new(
            id: one["id"], food: food(one), packs: one["packs"] ? one.at_least_one("packs") : 1, pack: pack(one),
            usable_until: one.day("usable_until"), opening: one["opening"], wrapping: one["wrapping"],
            place_low_c: signed("place_low_c", one), state: one["state"]&.to_sym, place: place(one, "cupboard"),
            situation: situation(one), reserved_elsewhere: yes("reserved_elsewhere", one),
            open: yes("open", one)
          )
        end

        # @return [Core::Food]
        def food(one, field = "food")
          catalog.foods.fetch(one[field]) { one.bad(field, one[field], "Use the key of a food.") }
        end

        # @return [String]
        def place(one, usual) = one.one_of("place", PLACES, usual: usual)

        # @return [String]
        def situation(one) = one.one_of("situation", Core::OwnTime::SITUATIONS, usual: "bought_sealed")

        # @return [Array<String>] days of the year, "MM-DD"
        def refresh_days(field = "refresh")
          found = @case.names(field)
          real = found.any? && found.all? do |one|
            DAY.match?(one) && Date.valid_date?(2028, *one.split("-").map(&:to_i))
          end
          real ? found : @case.bad(field, @case[field], "List days of the year like 03-01.")
        end

        # @return [Core::Quantity] "400g", "1.5l", "6" pieces; one piece where nothing is said
        def pack(one, field = "pack")
          number, unit = PACK.match((one[field] || "1").to_s)&.captures
          return Core::Quantity.of(number, unit || "piece") if number.to_s.to_r.positive?

          one.bad(field, one[field], "Write 400g, 1.5l or 6.")
        end

        # @return [Time]
        def moment(field, one = @case)
          Time.iso8601(one[field].to_s).utc
        rescue ArgumentError
          one.bad(field, one[field], "Write a moment like 2026-11-26T18:00:00Z.")
        end

        # @return [Rational, nil] a number that may lie below 0
        def signed(field, one = @case)
          one[field].nil? ? nil : one.decimal(field)
        end

        # @return [Integer] days a date must lie beyond what it is for
        def margin = @case["margin"] ? @case.whole("margin") : figures.usual("kit-margin-days").to_i

        # @param number [Numeric, nil]
        # @return [Integer, Float, nil] for JSON
        def self.plain(number)
          return if number.nil?

          number.to_r.denominator == 1 ? number.to_i : number.to_r.round(6).to_f
        end

        private

        def person(one)
          Core::Kits::Person.new(
            name: one["name"].to_s, age: one["age"] && one.whole("age"), sex: choice("sex", %w[woman man], nil, one),
            kg: one.amount("kg"), factor: one.amount("factor") || 1r,
            activity: choice("activity", %w[rest light hiking hard], nil, one),
            **PERSON_FLAGS.to_h { |flag| [flag.to_sym, yes(flag, one)] },
            excludes: Array(one["excludes"]).freeze, dislikes: Array(one["dislikes"]).freeze
          )
        end
      end
    end
  end
end
