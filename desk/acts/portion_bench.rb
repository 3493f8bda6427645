# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/freezer_room"
require_relative "../bench/pool"
require_relative "../bench/scraps"
require_relative "../bench/takes"
require_relative "../full_tub"
require_relative "../refusal"
require_relative "../../core/portioning/bench"

module NutShelf
  module Desk
    # Portions of one food from several stacks at once: trimmed, what is spoiled left out, some kept fresh and the rest
    # frozen, each at its share of the cost to the cent. What went in is remembered, the earliest of its dates counts.
    class PortionBench < Act
      # Portions of one cost in one place. Frozen.
      Part = Core::Value.of(:place_id, :count, :cost_minor)

      # What it came to, in the stacks' base unit.
      #   @return [Core::Portioning::Portioned]
      attr_reader :portioned

      # @param input [Hash] see perform
      # @return [Hash] what the act would do, with :portions
      def foresee(input)
        seen = super
        cold = input[:frozen_place_id] ? portioned.count - [input.fetch(:fresh, 0), portioned.count].min : 0
        room = Bench::FreezerRoom.new(work, input[:frozen_place_id], portioned.share_g * cold, @food).call
        { **seen, portions: { **told, room: room } }
      end

      private

      # @param input [Hash] :takes as [{ lot_id:, amount: grams or nil for all }], :trim_g as weighed or nil, :spoiled_g
      #   with :why, :by_products as [{ g:, place_id:, container_id: }] bones and trimmings saved for stock, :count or
      #   :size_g, :fresh how many stay so, :place_id for those, :frozen_place_id for the rest, :label, :directions
      def perform(input)
        takes = Bench::Takes.new(work, input[:takes])
        lots = takes.lots
        amounts = takes.amounts
        @portioned = reckon(lots, amounts, input)
        @food = takes.food
        made = entry("portion_bench", "Made #{portioned.count} portions of #{size} from #{takes.named}")
        pool = Bench::Pool.new(work, made).call(lots.values, amounts)
        full = save(made, pool, input)
        lose(made, pool, input)
        stacks = parts(input, lots).map { |part| stack(made, pool, part, input) }
        done(made, lot_id: stacks.first.id, lot_ids: stacks.map(&:id), portions: portioned.count,
          each_minor: portioned.costs.uniq, full: full)
      end

      def saved(input)
        list = input[:by_products] || []
        raise Refusal.of(:weight_not_above_zero, at: "/by_products") unless list.all? { |one| one[:g].to_r.positive? }

        list
      end

      # @return [Boolean] whether a tub is full by it
      def save(made, pool, input)
        scraps = Bench::Scraps.new(work, made)
        saved(input).map { |one| FullTub.tell(work, made, scraps.save(pool, one[:g].to_r, one)) }.any?
      end

      def reckon(lots, amounts, input)
        intakes = lots.map do |id, lot|
          Core::Portioning::Intake.new(
            food: work.food(lot.food_id), grams: amounts.fetch(id),
            value_minor: Core::Money.share(lot.value_minor, amounts.fetch(id), lot.on_hand)
          )
        end
        Core::Portioning::Bench
          .new(intakes, trim_g: input[:trim_g]&.to_r, spoiled_g: input[:spoiled_g]&.to_r || 0r,
            by_products_g: saved(input).map { |one| one[:g].to_r })
          .call(count: input[:count], size: input[:size_g]&.to_r)
      rescue ArgumentError => e
        raise Refusal.of(:portion_size, at: "/count", words: e.message.capitalize)
      end

      def size = work.size(Core::Quantity.new(portioned.share_g, :mass))

      # Trim is worth nothing; what is spoiled leaves with its value.
      def lose(made, pool, input)
        made.move(pool, -portioned.trim_g, 0, "binned", why: "trim") if portioned.trim_g.positive?
        spoiled = input[:spoiled_g].to_r
        made.move(pool, -spoiled, -portioned.spoiled_value, "binned", why: input[:why] || "turned") if spoiled.positive?
      end

      def parts(input, lots)
        fresh = input[:frozen_place_id] ? [input.fetch(:fresh, 0), portioned.count].min : portioned.count
        stays = input[:place_id] || at_hand(lots.values)
        refuse_unfrozen(lots) if fresh < portioned.count
        { stays => portioned.costs.first(fresh), input[:frozen_place_id] => portioned.costs.drop(fresh) }
          .flat_map do |place_id, costs|
            costs.tally.map { |cost, count| Part.new(place_id: place_id, count: count, cost_minor: cost) }
          end
      end

      # Where hands take from, of the places it came from.
      def at_hand(lots) = lots.map(&:place_id).min_by.with_index { |id, at| [work.place(id).working? ? 0 : 1, at] }

      # Without a figure for the freezer nobody could say until when.
      def refuse_unfrozen(lots)
        food = work.food(lots.values.first.food_id)
        return if work.catalog.keeping(food, "frozen_at_home", "freezer").row?

        raise Refusal.of(:does_not_freeze, at: "/frozen_place_id", food: food.name)
      end

      def stack(made, pool, part, input)
        amount = portioned.share_g * part.count
        value = part.cost_minor * part.count
        place = work.place_in_use(part.place_id)
        moved = place.id == pool.place_id ? [] : [work.happening("moved", place_id: place.id)]
        pool = made.now(pool)
        child = made.new_lot(
          {
            **pool.slice(*Store::Lots::PAST), pack_amount: portioned.share_g, open: false, place_id: place.id,
            history: [*pool.history, *moved], label: input[:label].to_s.strip, directions: input[:directions].to_s.strip
          }
        )
        made.came_of(child, pool, amount, "split")
        made.move(pool, -amount, -value, "split")
        made.move(child, amount, value, "split")
      end

      def told
        nutrition = @food.nutrition
        share = portioned.share_g / 100
        {
          count: portioned.count, share: size, pool: work.size(Core::Quantity.new(portioned.pool_g, :mass)),
          costs: portioned.costs.tally.map { |cost, count| { count: count, cost_minor: cost } },
          rest: portioned.rest_g.positive? ? work.size(Core::Quantity.new(portioned.rest_g, :mass)) : nil,
          rest_minor: portioned.rest_value, trim: work.size(Core::Quantity.new(portioned.trim_g.round(2), :mass)),
          spoiled_minor: portioned.spoiled_value, kcal: nutrition.kcal && (nutrition.kcal * share).round,
          protein_g: nutrition.protein_g && Core::Decimal.print((nutrition.protein_g * share).round(1))
        }
      end
    end
  end
end
