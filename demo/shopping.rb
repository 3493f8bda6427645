# frozen_string_literal: true

require "digest"
require_relative "household"

module NutShelf
  module Demo
    # How Sallow House shops: the stores on the quay and the market across the water, what is always wanted in the house
    # because the ferry may not go, and what people wrote on the list.
    class Shopping
      SHOPS = ["Quay Stores", "The market across the water"].freeze
      WANTS = {
        "canned-chopped-tomatoes" => { par: "2400", floor: "1200" }, "white-rice" => { par_weeks: "6" },
        "uht-milk" => { par: "3000" }, "cat-food-wet" => { par_weeks: "3" },
        "batteries-aa" => { par: "8", standing: true }, "toilet-paper" => { par: "9", standing: true },
        "liquid-soap" => { par: "250", standing: true }, "washing-up-liquid" => { standing: true },
        "matches" => { par: "3", standing: true }, "candles" => { standing: true },
        "bin-bags" => { standing: true }, "kitchen-roll" => { standing: true }
      }.freeze
      LINES = { "tomas" => "a new wick for the stair lamp", "juna" => "something for Wren's lunch box" }.freeze
      SILENT = ["curry-powder", 10, "Aunt Fenna brings some"].freeze

      # @param act [#call] does an act: its name, who, what is told
      # @param within [#call] yields the household's store
      def initialize(act:, within:)
        @act = act
        @within = within
      end

      # Writes down how they shop.
      def write_down
        version = @within.call { |house| house.household.row.version }
        @act.(:SetHousehold, "ines", { version: version, settings: { shopping_may_fall_out: true } })
        SHOPS.each { |name| @act.(:KeepShop, "ines", { name: name }) }
        WANTS.each { |key, want| @act.(:SetWant, "ines", { food_id: food(key), **want }) }
        LINES.each { |who, text| @act.(:AddListLine, who, { ref: Digest::SHA256.hexdigest(text)[0, 20], text: text }) }
        key, days, because = SILENT
        @act.(:SilenceFood, "tomas",
          { food_id: food(key), until: (Household::TODAY + days).iso8601, because: because })
      end

      private

      def food(key) = @within.call { |house| house.foods.by_key([key]).fetch(key).id }
    end
  end
end
