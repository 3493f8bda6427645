# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/pool"
require_relative "../bench/takes"
require_relative "../preserving/kept_food"
require_relative "../refusal"

module NutShelf
  module Desk
    # A batch goes into the freezer, the dryer or the pot: what goes in is weighed, kept for that and left alone by
    # plans. What is trimmed off before is worth nothing.
    class BeginBatch < Act
      WORDS = { "freezing" => "freezing", "drying" => "drying", "bottling" => "bottling" }.freeze

      # What is cooked before it is dried takes on so many times its weight at most.
      SWELLS = 4

      private

      # @param input [Hash] :process, :cut (key of the drying table, or of what is bottled), :takes see Bench::Takes,
      #   :in_g as weighed when it goes in, trimmed and cooked, or nil for all of it; :trays, :temp_c, :source, :note
      def perform(input)
        @takes = Bench::Takes.new(work, input[:takes])
        cut = refuse_odd(input)
        refuse_other_food(input[:process], cut)
        in_g = input[:in_g]&.to_r || @takes.sum
        raise Refusal.of(:weight_not_above_zero, at: "/in_g") unless in_g.positive?
        raise Refusal.of(:weighed_in_too_much, at: "/in_g") if in_g > @takes.sum * SWELLS

        begun = entry("begin_batch", "Began #{WORDS.fetch(input[:process])} #{size(in_g)} #{@takes.named}")
        pool = Bench::Pool.new(work, begun).call(@takes.lots.values, @takes.amounts)
        pool = trimmed(begun, pool, in_g - @takes.sum)
        held = { lot_id: pool.id, amount: pool.on_hand, holder: input[:process] }
        reservation = begun.make("reservation", held)
        begun.tell(pool, "set_apart", held)
        done(begun, lot_id: pool.id, batch_id: begun.make("batch", facts(input, cut, pool, in_g, reservation)))
      end

      # What is dried says how it is cut, what is bottled what it becomes; both by the tables.
      def refuse_odd(input)
        cut = input[:cut].to_s
        trips = work.catalog.trips
        known = {
          "freezing" => cut.empty?, "drying" => trips.drying.key?(cut),
          "bottling" => trips.produce_jars.any? { |one| one.product == cut }
        }
        return cut if known.fetch(input[:process])

        raise Refusal.of(:batch_of_what, at: "/cut")
      end

      # Meat is not dried as carrots are, and nothing is bottled as what it is not.
      def refuse_other_food(process, cut)
        known = process == "freezing" || @takes.food.key == row(process, cut).food_key ||
          (process == "drying" && alike?(row(process, cut)))
        raise Refusal.of(:batch_of_another_food, at: "/cut", food: @takes.food.name) unless known
      end

      def row(process, cut)
        trips = work.catalog.trips
        process == "drying" ? trips.drying.fetch(cut) : trips.produce_jars.find { |one| one.product == cut }
      end

      def alike?(drying)
        classes = [@takes.food, work.catalog.food(drying.food_key)].map do |food|
          Preserving::KeptFood.dried_class(work.catalog, food)
        end
        classes.uniq.size == 1 && !classes.first.nil?
      end

      # Peel and bones are gone; what was cooked in water weighs more.
      def trimmed(begun, pool, more)
        return begun.now(pool) if more.zero?
        return begun.move(pool, more, 0, "binned", why: "trim") if more.negative?

        begun.move(pool, more, 0, "made")
      end

      def facts(input, cut, pool, in_g, reservation)
        {
          process: input[:process], cut: cut, food_id: pool.food_id, lot_id: pool.id, reservation_id: reservation,
          begun_on: work.on, in_g: in_g, value_minor: pool.value_minor, source: input[:source].to_s.strip,
          note: input[:note].to_s.strip, **input.slice(:trays, :temp_c)
        }
      end

      def size(grams) = work.size(Core::Quantity.new(grams, :mass))
    end
  end
end
