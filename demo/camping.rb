# frozen_string_literal: true

require "date"

module NutShelf
  module Demo
    # The ride the family plans for spring: three of them, a burner, one pot, six days round the west of the island and
    # over to the mainland.
    class Camping
      LEAVES = Date.new(2027, 4, 5)
      BACK = Date.new(2027, 4, 10)
      GOES = %w[Ines Tomas Juna].freeze

      # @param act [#call] name of the act, who, input
      # @param within [#call] takes a block with the household's store
      def initialize(act:, within:)
        @act = act
        @within = within
      end

      # @return [void]
      def plan
        id = @act.call(:KeepTrip, "tomas", facts)["trip_id"]
        @act.call(:SetTripMeal, "tomas", {
          trip_id: id, on: (LEAVES + 1).iso8601, meal: "dinner", kind: "bag", dish: "tomato-couscous-bag", pinned: true
        })
        @act.call(:FillTrip, "tomas", { trip_id: id })
      end

      private

      def facts
        people = @within.call { |house| house.household.people.select { |row| GOES.include?(row.name) } }
        {
          name: "West road by bicycle", leaves_on: LEAVES.iso8601, back_on: BACK.iso8601, cold: "soft-bag-2",
          carried_by: "bicycle",
          high_c: 12, gear: ["burner"], pots: 1, pot_ml: 1500, containers_ml: [10_000, 4000, 4000, 750, 750, 750],
          people: people.map { |row| { person_id: row.id, figure: row.name == "Juna" ? "low" : "usual" } },
          days: { (LEAVES + 2).iso8601 => { effort: "hard", hours: "6" },
                  (LEAVES + 3).iso8601 => { effort: "light", hours: "0" } },
          sources: (0..5).flat_map { |at| ["#{LEAVES + at} breakfast", "#{LEAVES + at} evening"] }
        }
      end
    end
  end
end
