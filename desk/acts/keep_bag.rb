# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/bag_recipe"
require_relative "../refusal"
require_relative "../../core/quantity/decimal"

module NutShelf
  module Desk
    # Keeps a bag that somebody put together among those that can be filled again and taken along. Also changes how it
    # is called and made ready, or takes it off: what is in it stays, another is a bag of its own.
    class KeepBag < Act
      FACTS = %i[meal water_ml water_heat stand_minutes eat_from packaging directions].freeze
      # Where nobody says what it is packed in.
      PACKAGING = "stand-pouch-500"
      # Grams that one person eats up at most.
      MOST_G = 5000

      private

      # @param input [Hash] :bag_id of one that is kept, with :version as it was seen, :gone; or :lines of a new one as
      #   Bench::BagRecipe takes them; :name, FACTS, :low_air
      def perform(input)
        return begun(input) unless input[:bag_id]

        row = house.own_bags.find(input[:bag_id])
        house.records.lock("own_bag", row.id)
        refuse_stale(row, input[:version], { version: row.version })
        return taken_off(row) if input[:gone]

        facts = facts(input)
        refuse_taken(facts[:name], besides: row) if facts[:name]
        kept = entry("keep_bag", "Changed the bag #{facts[:name] || row.name}")
        kept.alter("own_bag", row, facts)
        done(kept, bag_id: row.id)
      end

      def begun(input)
        name = input[:name].strip
        refuse_taken(name)
        bag = Bench::BagRecipe.new(work, { lines: input[:lines], label: name, packaging: input[:packaging] })
        raise Refusal.of(:bag_too_heavy, at: "/lines") if bag.parts.sum(&:grams) > MOST_G

        lines = bag.parts.map { |part| { food_key: part.food.key, grams: Core::Decimal.print(part.grams.to_r.round(3)) } }
        facts = { packaging: PACKAGING, meal: "dinner", **facts(input), key: key(name), name: name, lines: lines }
        kept = entry("keep_bag", "Kept the bag #{name}")
        done(kept, bag_id: kept.make("own_bag", facts))
      end

      def taken_off(row)
        gone = entry("keep_bag", "Took the bag #{row.name} off")
        gone.alter("own_bag", row, { archived_at: Time.now.utc.iso8601 })
        done(gone, bag_id: row.id)
      end

      def facts(input)
        packing = input[:packaging]
        raise Refusal.of(:no_such_bag, at: "/packaging") if packing && !work.catalog.trips.packaging.key?(packing)

        {
          **input.slice(*FACTS).compact, **(input[:name] ? { name: input[:name].strip } : {}),
          **(input.key?(:low_air) ? { closing: input[:low_air] ? "low_air" : "airtight" } : {})
        }
      end

      def refuse_taken(name, besides: nil)
        names = (Bench::Assemblies.of(work).values.map(&:name) - [besides&.name]).map(&:downcase)
        raise Refusal.of(:bag_name_taken, at: "/name") if names.include?(name.downcase)
      end

      def key(name)
        base = "own-#{name.downcase.gsub(/[^\p{Alnum}]+/, "-")}"
        taken = house.own_bags.keys
        numbered = (2..(taken.size + 2)).map { |number| "#{base}-#{number}" }
        [base, *numbered].find { |one| !taken.include?(one) }
      end
    end
  end
end
