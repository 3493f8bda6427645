# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/pool"
require_relative "../bench/takes"
require_relative "../refusal"

module NutShelf
  module Desk
    # A batch goes into the freezer, the dryer or the pot: what goes in is weighed, kept for that and left alone by
    # plans. What is trimmed off before is worth nothing.
    class BeginBatch < Act
      WORDS = { "freezing" => "freezing", "drying" => "drying", "bottling" => "bottling" }.freeze

      private

      # @param input [Hash] :process, :cut (key of the drying table, or of what is bottled), :takes see Bench::Takes,
      #   :in_g as weighed when it goes in, trimmed and cooked, or nil for all of it; :trays, :temp_c, :source, :note
      def perform(input)
        @takes = Bench::Takes.new(work, input[:takes])
        cut = refuse_odd(input)
        in_g = input[:in_g]&.to_r || @takes.sum
        raise Refusal.of(:weight_not_above_zero, at: "/in_g") unless in_g.positive?

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
