# frozen_string_literal: true

require "date"
require_relative "ferry_box"
require_relative "household"

module NutShelf
  module Demo
    # What the family does at the shelf besides cooking: measuring places, jars, counts, care, labels, codes.
    class ShelfWork
      FIRST = Date.new(2026, 9, 15)
      COUNTED = Date.new(2026, 10, 25)
      CARE = Date.new(2026, 11, 1)
      LATELY = Date.new(2026, 11, 22)

      MEASURES = {
        "Kitchen cupboard" => {
          reach: "hand", inner_mm: [760, 320, 380], fill_percent: 70, count_every_days: 30
        },
        "Cellar rack" => {
          reach: "away", dark: true, inner_mm: [1800, 400, 420], fill_percent: 55, count_every_days: 60,
          note: "Down the steps; the torch hangs by the door."
        },
        "Chest freezer" => {
          reach: "steps", inner_mm: [900, 480, 620], fill_percent: 60, count_every_days: 45
        },
        "Fridge" => {
          reach: "hand", inner_mm: [520, 420, 1100], fill_percent: 75, count_every_days: 14
        },
        "Ferry box" => {
          reach: "steps", inner_mm: [780, 560, 420], fill_percent: 85, count_every_days: 180,
          note: "Two weeks for when no ferry comes. Left alone until refresh day."
        },
        "Bicycle shed" => {
          reach: "away",
          dark: true
        }
      }.freeze

      # @param act [#call] name of the act, who, input
      # @param front [#call] food key to the stack in front
      # @param standing [#call] id of a place to the stacks there, as a hand meets them
      # @param within [#call] takes a block with the household's store
      # @param at_work [#call] takes a block with a unit of work
      def initialize(act:, front:, standing:, within:, at_work:)
        @act = act
        @front = front
        @standing = standing
        @within = within
        @at_work = at_work
      end

      # @param day [Date]
      def on(day)
        case day
        when FIRST
          measure
        when FerryBox::DAY
          FerryBox.new(act: @act, at_work: @at_work).call(place("Ferry box"))
        when Date.new(2026, 9, 20)
          jars
        when COUNTED
          counted
        when CARE
          care
        when LATELY
          lately
        when Household::TODAY
          under_way
        end
      end

      private

      def act(name, who, **input) = @act.call(name, who, input)

      def place(name) = @within.call { |house| house.places.all.find { |row| row.name == name }.id }

      def food(key) = @within.call { |house| house.foods.by_key([key]).fetch(key).id }

      def measure
        MEASURES.each { |name, facts| act(:ChangePlace, "ines", place_id: place(name), **facts) }
        act(
          :AddPlace,
          "ines",
          name: "Baking box",
          kind: "cupboard",
          tier: "working",
          low_c: 17,
          high_c: 23,
          parent_id: place("Kitchen cupboard")
        )
        {
          "4006381333931" => %w[canned-chickpeas 400 g], "96385074" => %w[canned-sardines 85 g],
          "5901234123457" => %w[dry-pasta 500 g], "0012345678905" => %w[uht-milk 1000 ml]
        }.each { |code, (key, amount, unit)| learn(code, key, amount, unit) }
      end

      def learn(code, key, amount, unit)
        there = @within.call { |house| house.foods.by_key([key])[key] }
        act(:LearnBarcode, "tomas", code: code, food_id: there.id, amount: amount, unit: unit) if there
      end

      def jars
        act(
          :AddContainer,
          "ines",
          name: "Swing-top jar 1.5 l",
          kind: "jar",
          capacity_ml: 1500,
          owned: 4,
          tare_g: "720",
          place_id: place("Kitchen cupboard")
        )
        act(
          :AddContainer,
          "ines",
          name: "Jam jar 370 ml",
          kind: "jar",
          capacity_ml: 370,
          owned: 18,
          tare_g: "195",
          shape: "shouldered",
          place_id: place("Cellar rack")
        )
        act(
          :AddContainer,
          "ines",
          name: "Broth tub",
          kind: "tub",
          capacity_ml: 2000,
          owned: 1,
          full_at: "1500",
          place_id: place("Chest freezer")
        )
        rice = @front.call("white-rice") or return
        jar = @within.call { |house| house.containers.all.find { |row| row.capacity_ml == 1500 }.id }
        act(:Decant, "piet", lot_id: rice.id, container_id: jar, amount: "1150")
      end

      # Juna counts the kitchen cupboard: a few things are not as noted.
      def counted
        count = act(:StartCount, "juna", place_id: place("Kitchen cupboard"))["count_id"]
        honey = @front.call("honey")
        act(:EnterLine, "juna", count_id: count, lot_id: honey.id, found: "amount", amount: "380") if honey
        pasta = @front.call("dry-pasta") || @front.call("spaghetti")
        if pasta
          act(
            :EnterLine,
            "juna",
            count_id: count,
            lot_id: pasta.id,
            found: "amount",
            amount: (pasta.on_hand.to_i / 2).to_s
          )
        end
        act(:EnterRest, "juna", count_id: count, found: "as_expected")
        act(:FinishCount, "juna", count_id: count)
      end

      def care
        water = @front.call("bottled-water") || @front.call("tap-water")
        act(
          :AddCare,
          "ines",
          title: "Turn the jam jars and check the lids",
          place_id: place("Cellar rack"),
          first_on: "2026-11-20",
          every_days: 90
        )
        act(
          :AddCare,
          "ines",
          title: "Check the ferry box: dates, torch, opener",
          place_id: place("Ferry box"),
          first_on: "2026-12-01",
          every_months: 6
        )
        if potatoes
          act(
            :AddCare,
            "tomas",
            title: "Look the potatoes over for sprouts",
            lot_id: potatoes.id,
            first_on: "2026-11-23",
            every_days: 14
          )
        end
        return unless water

        act(
          :AddCare,
          "ines",
          title: "Swap the water in the ferry box",
          lot_id: water.id,
          first_on: "2026-12-15",
          every_months: 6
        )
      end

      def potatoes = @potatoes ||= @front.call("potatoes")

      def lately
        pasta = @front.call("dry-pasta") || @front.call("spaghetti")
        act(:Amend, "ines", lot_id: pasta.id, directions: "11 minutes in plenty of boiling water") if pasta
        bars = @front.call("cereal-bars")
        act(:Amend, "juna", lot_id: bars.id, bought_for: "the cycle-camping trip") if bars
        carrots = @front.call("carrots")
        act(:StoreAs, "wren", lot_id: carrots.id, method: "water") if carrots
      end

      # Tomas has begun in the cellar and went for the post.
      def under_way
        count = act(:StartCount, "tomas", place_id: place("Cellar rack"))["count_id"]
        @standing.call(place("Cellar rack")).first(9).reject(&:level).each_with_index do |row, index|
          pack = row.pack_amount || 1r
          less =
            if index == 4 && row.on_hand > pack
              { found: "amount", amount: Core::Decimal.print(row.on_hand - pack) }
            else
              { found: "as_expected" }
            end
          act(:EnterLine, "tomas", count_id: count, lot_id: row.id, **less)
        end
      end
    end
  end
end
