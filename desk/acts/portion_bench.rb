# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/additions"
require_relative "../bench/freezer_room"
require_relative "../bench/jars"
require_relative "../bench/mix"
require_relative "../bench/pool"
require_relative "../bench/scraps"
require_relative "../bench/takes"
require_relative "../full_tub"
require_relative "../kits/floor"
require_relative "../refusal"
require_relative "../../core/portioning/bench"
require_relative "../../core/quantity/largest_remainder"

module NutShelf
  module Desk
    # Portions of one food from several stacks at once: trimmed, what is spoiled left out, something of other stacks
    # added to each, some kept fresh and the rest frozen, each at its share of the cost to the cent. What went in is
    # remembered, the earliest of its dates counts.
    class PortionBench < Act
      # Portions of one cost in one place. Frozen.
      Part =
        Core::Value.of(:place_id, :count, :cost_minor) do
          # @return [Integer] what all of them cost
          def total = cost_minor * count
        end

      # What it came to, in the stacks' base unit.
      #   @return [Core::Portioning::Portioned]
      attr_reader :portioned

      # @param input [Hash] see perform
      # @return [Hash] what the act would do, with :portions
      def foresee(input)
        seen = super
        cold = input[:frozen_place_id] ? portioned.count - [input.fetch(:fresh, 0), portioned.count].min : 0
        grams = portioned.each_g * cold * per_unit
        room = Bench::FreezerRoom.new(work, input[:frozen_place_id], grams, @food).call
        { **seen, portions: { **told, room: room } }
      end

      private

      # @param input [Hash] :takes as [{ lot_id:, amount: grams or nil for all }], :trim_g as weighed or nil, :spoiled_g
      #   with :why, :by_products as [{ g:, place_id:, container_id: }] bones and trimmings saved for stock,
      #   :additions see Bench::Additions, :pet whether an animal eats it, :count or :size_g, :fresh how many stay so,
      #   :place_id for those, :frozen_place_id for the rest, :container_id the jars they go into, :label,
      #   :directions, :despite why, see Take
      def perform(input)
        takes = Bench::Takes.new(work, input[:takes], liquids: true)
        gather(takes, input)
        @portioned = reckon(takes, input)
        @jars&.check(portioned.count, portioned.each_g)
        despite = floor(input)
        made = entry("portion_bench", "Made #{portioned.count} portions of #{size} from #{takes.named}#{despite}")
        pool = Bench::Pool.new(work, made).call(takes.lots.values, takes.amounts)
        full = save(made, pool, input)
        lose(made, pool, input)
        @additions.draw(made, portioned.count)
        @portioned = reckon(takes, input)
        stacks = share_out(made, pool, parts(input, takes.lots), input)
        done(made, lot_id: stacks.first.id, lot_ids: stacks.map(&:id), portions: portioned.count,
          each_minor: portioned.costs.uniq, full: full)
      end

      # What it is of, in which measure, what is added to it and the jars it goes into.
      def gather(takes, input)
        @food = takes.food
        first = takes.lots.values.first
        @dimension = first.dimension.to_sym
        refuse_by_weight(input)
        @jars = Bench::Jars.of(work, input[:container_id], first, freezing: freezing?(takes, input))
        @additions = Bench::Additions.new(work, input[:additions], taken: takes.lots.keys, pet: pet?(input))
        Bench::Additions.refuse_poison([@food, *@additions.foods]) if pet?(input)
      end

      # An animal's own food is shared out for the animal.
      def pet?(input) = input[:pet] == true || !@food.pet.nil?

      # @return [String] why something was taken from below its floor, if it was
      def floor(input)
        leaving = @additions.leaving(portioned.count)
        leaving.empty? ? "" : Kits::Floor.new(work).guard(leaving, input[:despite])
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

      def reckon(takes, input)
        intakes = takes.lots.map do |id, lot|
          Core::Portioning::Intake.new(
            food: @food, grams: takes.amounts.fetch(id),
            value_minor: Core::Money.share(lot.value_minor, takes.amounts.fetch(id), lot.on_hand)
          )
        end
        bench = Core::Portioning::Bench.new(
          intakes, trim_g: input[:trim_g]&.to_r, spoiled_g: input[:spoiled_g].to_r, additions: @additions.sums,
          by_products_g: saved(input).map { |one| one[:g].to_r }
        )
        bench.call(count: Bench::Jars.count(@jars, bench, @additions.sums, input), size: input[:size_g]&.to_r)
      rescue ArgumentError => e
        raise Refusal.of(:portion_size, at: "/count", words: e.message.capitalize)
      end

      # What is shared out in the freezer stays there where nobody says otherwise.
      def freezing?(takes, input)
        place = input[:frozen_place_id] || input[:place_id] || at_hand(takes.lots.values)
        work.place(place).kind == "freezer"
      end

      # Bones and what is added are weighed: a liquid told in millilitres is not.
      def refuse_by_weight(input)
        return if @dimension == :mass

        at = %i[by_products additions].find { |name| Array(input[name]).any? }
        raise Refusal.of(:bench_by_weight, at: "/#{at}") if at
      end

      def size = measure(portioned.each_g.round(2))

      def measure(amount) = work.size(Core::Quantity.new(amount, @dimension))

      # Trim is worth nothing; what is spoiled leaves with its value.
      def lose(made, pool, input)
        made.move(pool, -portioned.trim_g, 0, "binned", why: "trim") if portioned.trim_g.positive?
        spoiled = input[:spoiled_g].to_r
        made.move(pool, -spoiled, -portioned.spoiled_value, "binned", why: input[:why] || "turned") if spoiled.positive?
      end

      def parts(input, lots)
        fresh = input[:frozen_place_id] ? [input.fetch(:fresh, 0), portioned.count].min : portioned.count
        stays = input[:place_id] || at_hand(lots.values)
        refuse_unfrozen if fresh < portioned.count
        { stays => portioned.costs.first(fresh), input[:frozen_place_id] => portioned.costs.drop(fresh) }
          .flat_map do |place_id, costs|
            costs.tally.map { |cost, count| Part.new(place_id: place_id, count: count, cost_minor: cost) }
          end
      end

      # Where hands take from, of the places it came from.
      def at_hand(lots) = lots.map(&:place_id).min_by.with_index { |id, at| [work.place(id).working? ? 0 : 1, at] }

      def refuse_unfrozen
        Bench::Additions.refuse_unfrozen(work, @food)
        @additions.refuse_unfrozen
      end

      # @return [Array<Store::Rows::Lot>] the portions, by place and cost
      def share_out(made, pool, parts, input)
        mix = Bench::Mix.new(work, made, @additions, @food) if @additions.any?
        values = Core::LargestRemainder.split(pooled_value, parts.map(&:total))
        parts.zip(values).map do |part, value|
          lot = stack(made, pool, part, value, { **said(input), **(mix ? mix.facts(input[:label]) : {}) })
          next lot unless mix

          mix.pour(lot, pool, share: part.count.to_r / portioned.count, value: part.total - value,
            grams: (portioned.each_g - portioned.share_g) * part.count)
        end
      end

      # What the portions are worth without what is added to them.
      def pooled_value = portioned.costs.sum - @additions.sums.sum { |one| one.value(portioned.count) }

      def said(input) = { label: input[:label].to_s.strip, directions: input[:directions].to_s.strip }

      def stack(made, pool, part, value, facts)
        amount = portioned.share_g * part.count
        place = work.place_in_use(part.place_id)
        moved = place.id == pool.place_id ? [] : [work.happening("moved", place_id: place.id)]
        pool = made.now(pool)
        child = made.new_lot(
          {
            **pool.slice(*Store::Lots::PAST), pack_amount: portioned.each_g, open: false, place_id: place.id,
            container_id: @jars&.id, history: [*pool.history, *moved], **facts
          }
        )
        made.came_of(child, pool, amount, "split")
        made.move(pool, -amount, -value, "split")
        made.move(child, amount, value, "split")
      end

      def told
        {
          count: portioned.count, share: size, pool: measure(portioned.pool_g), jars: @jars&.told,
          costs: portioned.costs.tally.map { |cost, count| { count: count, cost_minor: cost } },
          rest: portioned.rest_g.positive? ? measure(portioned.rest_g) : nil,
          rest_minor: portioned.rest_value, trim: measure(portioned.trim_g.round(2)),
          spoiled_minor: portioned.spoiled_value, kcal: each(:kcal)&.round,
          protein_g: each(:protein_g)&.then { |grams| Core::Decimal.print(grams.round(1)) }
        }
      end

      # Grams in a base unit.
      def per_unit = @dimension == :mass ? 1r : @food.g_per_ml || 1r

      # What a portion gives; nil where a food has no figure.
      def each(name)
        parts = [[@food, portioned.share_g * per_unit], *@additions.sums.map { |one| [one.food, one.each] }]
        parts.sum(0r) do |food, grams|
          (food.nutrition.public_send(name) or return) * grams / 100
        end
      end
    end
  end
end
