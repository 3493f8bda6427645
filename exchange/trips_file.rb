# frozen_string_literal: true

require_relative "case_file"
require_relative "trip_cases/bag_cases"
require_relative "trip_cases/bench_cases"
require_relative "trip_cases/pack_cases"
require_relative "trip_cases/preserving_cases"
require_relative "trip_cases/way_cases"

module NutShelf
  module Exchange
    # Reads questions about the bench, bags, drying, jars, trips and standing boxes from JSON, {"cases": [{id, kind,
    # input}, ...]}, so that anybody can try the rules on figures of their own (docs/trips.md shows the fields by kind),
    # and writes what the house would say. A case of kind "several" asks a list of questions.
    class TripsFile < CaseFile
      KINDS = {
        "portion" => TripCases::PortionCase, "assembly" => TripCases::AssemblyCase, "make" => TripCases::MakeCase,
        "dry_next" => TripCases::DryNextCase, "dryer" => TripCases::DryerCase,
        "water_back" => TripCases::WaterBackCase, "season" => TripCases::SeasonCase,
        "trip_energy" => TripCases::EnergyCase, "trip_cold" => TripCases::ColdCase,
        "trip_check" => TripCases::CheckCase, "trip_water" => TripCases::WaterCase,
        "trip_fuel" => TripCases::FuelCase, "trip_weight" => TripCases::WeightCase,
        "packing" => TripCases::PackingCase, "home" => TripCases::HomeCase, "learn" => TripCases::LearnCase,
        "box" => TripCases::BoxCase
      }.freeze

      # @param text [String]
      # @param catalog [Core::Catalog]
      # @raise [Unreadable]
      def initialize(text, catalog:)
        @catalog = catalog
        given = JSON.parse(text)
        @cases = given.is_a?(Hash) ? given["cases"] : given
        return if @cases.is_a?(Array) && @cases.all? { |one| one.is_a?(Hash) && one["id"] && one["input"] }

        raise Unreadable, "The file must hold a list of cases, {\"cases\": [{\"id\": ..., \"input\": {...}}, ...]}."
      rescue JSON::ParserError => e
        raise Unreadable, "That is no JSON: #{e.message.lines.first.strip}"
      end

      # @yieldparam [Unreadable] what is wrong with a case, which is then left out; without a block the first ends it
      # @return [Hash{String=>Object}] by id, in the order of the file, ready for JSON
      # @raise [Unreadable] naming the case and the field
      def answers(&fault) = by_id(fault) { |one| answer(one["id"].to_s, one["kind"], one["input"]) }

      private

      def answer(id, kind, input)
        return several(id, input) if kind == "several"

        given = Case.new(id, input)
        asked = KINDS[kind] || given.bad("kind", kind, "Use several or one of #{KINDS.keys.join(", ")}.")
        given.bad("input", input, "Use {...}.") unless input.is_a?(Hash)
        told_of(asked.new(given, @catalog), given)
      end

      def several(id, list)
        Case.new(id, {}).bad("input", list, "Use a list of {kind, input}.") unless list.is_a?(Array)
        list.each.with_index(1).map do |one, at|
          Case.new("#{id}, #{at}", {}).bad("input", one, "Use {kind, input}.") unless one.is_a?(Hash)
          answer("#{id}, #{at}", one["kind"], one["input"])
        end
      end
    end
  end
end
