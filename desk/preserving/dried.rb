# frozen_string_literal: true

require_relative "../../core/preserving/next_time"
require_relative "making"

module NutShelf
  module Desk
    module Preserving
      # A batch from the dryer: it passed its test, weighs what it weighs, and keeps as home-dried food does. Meat that
      # nobody heated through and rinsed is held until somebody clears it.
      class Dried < Making
        # @return [String]
        def words = "#{size(out_g)} of #{size(batch.in_g)} #{food.name}"

        # @return [Hash] what the batch remembers
        def facts = { out_g: out_g }

        # @return [Array<Store::Rows::Lot>]
        def call(finished, pool)
          lot = made(
            finished, pool,
            { food_id: KeptFood.new(work, finished).dried(drying, food), dimension: "mass", situation: "home_dried",
              open: false, directions: water_back, **held },
            out_g, pool.value_minor
          )
          use_up(finished, pool)
          follow_up(finished, lot, drying.name)
          [lot]
        end

        private

        def drying = work.catalog.trips.drying.fetch(batch.cut)

        def check
          raise Refusal.of(:not_done_yet, at: "/passed", test: drying.done_test) unless input[:passed]
          return if out_g < batch.in_g

          raise Refusal.of(:dried_heavier, at: "/out_g", amount: size(batch.in_g))
        end

        def water_back
          ml = Core::Preserving::WaterBack.of_batch(100r, batch.in_g, out_g).floor
          "For 100 g at most #{ml} ml of water; #{(100 * batch.in_g / out_g).round} g went in for it."
        end

        # Whatever the date says: germs in raw meat dry without dying.
        def held
          needs = drying.heat_first_c or return {}
          return {} if batch.heated_c.to_i >= needs && steps.meat_done?(batch.ticked)

          why = "Dried meat counts once it was heated through to #{needs.to_i} C and its fat rinsed off"
          { quarantined: true, quarantine_reason: why }
        end
      end
    end
  end
end
