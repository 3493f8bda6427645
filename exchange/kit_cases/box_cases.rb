# frozen_string_literal: true

require_relative "../../core/kits/boxes"
require_relative "../../core/kits/deep_pantry"
require_relative "../../core/kits/refreshing"
require_relative "shelf_cases"

module NutShelf
  module Exchange
    module KitCases
      # How packs are dealt into boxes.
      class BoxesCase < Reading
        # @return [Hash]
        def answer
          gives = Core::Kits::Gives.new(catalog, figures, eaters: [])
          dealt = Core::Kits::Boxes.new(
            box_ml: @case.positive("box_ml"), box_tare_g: @case.amount("box_tare_g") || 0r,
            limit_g: @case.amount("limit_g") || (figures.usual("kit-carry-kg") * 1000)
          ).call(stacks.flat_map { |stack| Core::Kits::Packet.of(gives.of(stack)) })
          {
            boxes: dealt.boxes.map { |box| told(box) },
            carry_trips: (dealt.boxes.size / (@case["carriers"] ? @case.positive("carriers") : 1r)).ceil,
            kept_percent: dealt.kept.transform_values { |share| ROUND.down(share * 100) }, spread_ok: dealt.spread_ok
          }
        end

        private

        def told(box)
          {
            gross_g: ROUND.up(box.gross_g), fill_percent: ROUND.up(box.box_ml * 100 / @case.positive("box_ml")),
            packs: box.counts.sort_by { |id, _| id.to_s }.to_h, opener: box.opener?, glass_g: ROUND.up(box.glass_g)
          }
        end
      end

      # What a refresh comes to.
      class RefreshCase < Reading
        # @return [Hash]
        def answer
          found = Core::Kits::Refreshing.new(refresh_days, margin: margin)
            .call(@case.the_day("on"), box: stacks("box"), shelf: stacks("shelf"))
          {
            next: found.next_on.iso8601, must_reach: found.must_reach.iso8601, stay: found.stay.map(&:id),
            look: found.look.map(&:id), kitchen: found.kitchen.map { |one| kitchen(one) },
            fetch: found.fetch.to_h { |stack, count| [stack.id, count] },
            buy: found.buy.to_h { |(food, pack), count| ["#{food.key} #{words(food, pack)}", count] }
          }
        end

        private

        def kitchen(one)
          { id: one.stack.id, eat_by: one.eat_by.iso8601, weeks: one.weeks, per_week: one.per_week }
        end

        # A pack as the file writes it.
        def words(food, pack)
          @case["box"].find { |row| row["food"] == food.key && Core::Quantity.of(*sized(row["pack"])) == pack }["pack"]
        end

        def sized(text) = PACK.match((text || "1").to_s).captures.then { |number, unit| [number, unit || "piece"] }
      end

      # What of a deep pantry is free to the kitchen.
      class FloorCase < Reading
        # @return [Hash]
        def answer
          gives = Core::Kits::Gives.new(catalog, figures, eaters: [])
          need = @case.table("need")
          floor = Core::Kits::DeepPantry.new(days: @case.at_least_one("days"), margin: margin, need: need)
            .call(@case.the_day("today"), stacks.map { |stack| gives.of(stack) })
          {
            must_reach: floor.must_reach.iso8601,
            have: floor.have.to_h { |line, number| [line, self.class.plain(ROUND.down(number, SHOWN.places(line)))] },
            free: floor.free.to_h { |stack, packs| [stack.id, packs] }
          }
        end
      end
    end
  end
end
