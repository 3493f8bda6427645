# frozen_string_literal: true

require_relative "household"

module NutShelf
  module Demo
    # What comes round at Sallow House: a birthday that has been held twice, and soup for the neighbours every month.
    class Feasts
      BIRTHDAY = {
        name: "Grandad Piet's birthday", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner",
        serve_at: "18:00",
        dishes: [
          { dish: "whole-chicken-roast" }, { dish: "carrot-lentil-soup", ahead: true },
          { dish: "greek-style-salad" }, { dish: "pineapple-upside", ahead: true }
        ],
        ideas: [{ text: "Lanterns on the quay steps if it is still" }, { text: "Juna would bake it herself" }],
        notes: "He likes to sit with his back to the stove."
      }.freeze
      SOUP = {
        name: "Soup for the quay", recurrence: { kind: "monthly", weekday: 0, nth: -1 }, meal: "lunch",
        serve_at: "12:30", dishes: [{ dish: "split-pea-soup" }, { dish: "cauliflower-lentil-soup" }],
        ideas: [], notes: ""
      }.freeze
      GUESTS = [{ name: "Aunt Fenna" }, { name: "Bram" }, { name: "Odile", excludes: ["fish"] }].freeze
      HELD = [
        ["2024-12-05", 9, "Too much soup, and nobody came for it the next day.",
         [%w[whole-chicken-roast 9 1], %w[carrot-lentil-soup 9 4], %w[pineapple-upside 8 0]]],
        ["2025-12-05", 8, "The ferry was late; keep the salad for the end.",
         [%w[whole-chicken-roast 9 2], %w[carrot-lentil-soup 6 1], %w[greek-style-salad 6 0.5]]]
      ].freeze

      # @param act [#call] does an act: its name, who, what is told
      # @param within [#call] yields the household's store
      def initialize(act:, within:)
        @act = act
        @within = within
      end

      # Writes down what comes round, and how it was.
      def write_down
        birthday = @act.(:KeepOccasion, "ines", { **BIRTHDAY, eaters: { people: people, guests: GUESTS } })
        HELD.each do |on, heads, notes, dishes|
          @act.(:NoteOccasion, "tomas", {
            occasion_id: birthday["occasion_id"], on: on, heads: heads, notes: notes,
            dishes: dishes.map { |dish, cooked, left| { dish: dish, cooked: cooked, left: left } }
          })
        end
        @act.(:KeepOccasion, "tomas", { **SOUP, eaters: { people: people, guests: GUESTS.first(2) } })
      end

      private

      def people = @within.call { |house| house.household.people.select(&:eats).map(&:id) }
    end
  end
end
