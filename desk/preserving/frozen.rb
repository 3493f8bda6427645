# frozen_string_literal: true

require_relative "making"

module NutShelf
  module Desk
    module Preserving
      # A batch for the freezer: the same food, blanched and trimmed to what it weighs now, in pieces where it was
      # frozen in cubes or apart on a tray.
      class Frozen < Making
        # @return [String]
        def words = "#{size(out_g)} #{food.name}#{", #{input[:pieces]} pieces" if input[:pieces]}"

        # @return [Hash] what the batch remembers
        def facts = { out_g: out_g }

        # @return [Array<Store::Rows::Lot>]
        def call(finished, pool)
          lost = pool.on_hand - out_g
          pool = finished.move(pool, -lost, 0, "binned", why: "trim") if lost.positive?
          pool = finished.move(pool, -lost, 0, "made") if lost.negative?
          happening = work.happening("moved", place_id: place.id)
          lot = finished.split(
            pool, pool.on_hand, place_id: place.id, pack_amount: piece, open: false,
            history: [*pool.history, happening], label: input[:label].to_s.strip
          )
          follow_up(finished, lot, food.name)
          [lot]
        end

        private

        def check
          raise Refusal.of(:batch_needs_freezer, at: "/place_id") unless place.kind == "freezer"

          out_g
          return if work.catalog.keeping(food, "frozen_at_home", "freezer").row?

          raise Refusal.of(:does_not_freeze, at: "/place_id", food: food.name)
        end

        def piece = input[:pieces] && (out_g / input[:pieces]).floor(6)
      end
    end
  end
end
