# frozen_string_literal: true

require "date"

module NutShelf
  module Demo
    # What the family keeps of the garden and of the quay's market: tomatoes dried three times, plums bottled, apples in
    # the dryer today.
    class Harvest
      # A batch as it was: food, process, cut, grams and price, weighed in, hours, what came of it.
      DRIED = {
        Date.new(2026, 9, 19) => ["tomatoes", "2400", 480, "11", "150"],
        Date.new(2026, 9, 26) => ["tomatoes", "3100", 560, "13", "230"],
        Date.new(2026, 10, 3) => ["tomatoes", "2750", 520, "12", "187"]
      }.freeze
      BOTTLED = Date.new(2026, 9, 20)
      TODAYS = Date.new(2026, 11, 24)
      # What is planned of it for the next year: how it is kept, as what, eaten a week, harvests.
      PLANNED = [
        { process: "bottling", cut: "Plums, halved or whole", weekly: "150", harvest_on: "2027-09-06",
          next_harvest_on: "2028-09-04", pot_jars: 6, get_by: "grow", note: "The tree by the shed bore well" },
        { process: "bottling", cut: "Tomatoes, whole or crushed", weekly: "500", harvest_on: "2027-08-23",
          next_harvest_on: "2028-08-21", margin_percent: 10, pot_jars: 6, get_by: "buy",
          note: "Ask at the quay's market for crates" },
        { process: "drying", cut: "tomatoes", weekly: "15", harvest_on: "2027-08-30", next_harvest_on: "2028-08-28",
          trays: 5, day_hours: 12, get_by: "grow" }
      ].freeze
      RECIPE = "Plums in light syrup, leaflet of the island's growers' office"

      # @param act [#call] name of the act, who, input
      # @param within [#call] takes a block with the household's store
      def initialize(act:, within:)
        @act = act
        @within = within
      end

      # @param day [Date]
      def on(day)
        dry(*DRIED.fetch(day)) if DRIED.key?(day)
        bottle if day == BOTTLED
        return unless day == TODAYS

        begin_apples
        PLANNED.each { |line| act(:PlanSeason, "piet", **line) }
      end

      private

      def act(name, who, **input) = @act.call(name, who, input)

      def place(name) = @within.call { |house| house.places.all.find { |row| row.name == name }.id }

      def food(key) = @within.call { |house| house.foods.by_key([key]).fetch(key).id }

      def picked(key, grams, price)
        act(:PutAway, "piet", food_id: food(key), place_id: place("Fridge"), count: "1", amount: grams, unit: "g",
          price_minor: price)["lot_id"]
      end

      def dry(key, grams, price, hours, out)
        id = begun("drying", key, picked(key, grams, price), trays: 5, temp_c: 57)
        act(:FinishBatch, "piet", batch_id: id, place_id: place("Kitchen cupboard"), more_hours: hours, out_g: out,
          passed: true)
      end

      def bottle
        id = begun("bottling", "Plums, halved or whole", picked("plums", "3200", 640), source: RECIPE)
        act(:FinishBatch, "piet", batch_id: id, place_id: place("Cellar rack"),
          jars: [{ ml: 500, sealed: 5, unsealed: 0 }])
      end

      def begin_apples
        id = begun("drying", "apples", picked("apples", "1800", 270), in_g: "1650", trays: 5, temp_c: 57)
        act(:ChangeBatch, "piet", batch_id: id, ticked: [1, 4], more_hours: "3")
      end

      def begun(process, cut, lot, **more)
        act(:BeginBatch, "piet", process: process, cut: cut, takes: [{ lot_id: lot }], **more)["batch_id"]
      end
    end
  end
end
