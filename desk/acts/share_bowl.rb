# frozen_string_literal: true

require_relative "../act"
require_relative "../bench/bowl_takes"
require_relative "../bench/freezer_room"
require_relative "../bench/jars"
require_relative "../dish_food"
require_relative "../kits/floor"
require_relative "../own_food"
require_relative "../refusal"
require_relative "../taking"
require_relative "../../core/portioning/bench"

module NutShelf
  module Desk
    # A bowl cooked of several foods is weighed and shared out, something of other stacks added to each portion, some
    # kept fresh and the rest frozen. What all of it cost is shared to the cent, what went in is remembered, and the
    # earliest date of what was added counts.
    class ShareBowl < Act
      # What is cooked takes on so many times its weight at most.
      SWELLS = 4

      # Portions of one cost in one place. Frozen.
      Part = Core::Value.of(:place_id, :count, :cost_minor)

      # What it came to.
      #   @return [Core::Portioning::Portioned]
      attr_reader :portioned

      # @param input [Hash] see perform
      # @return [Hash] what the act would do, with :portions
      def foresee(input)
        seen = super
        room = Bench::FreezerRoom.new(work, input[:frozen_place_id], portioned.each_g * frozen(input)).call
        { **seen, portions: { **told, room: room } }
      end

      private

      # @param input [Hash] what Bench::BowlTakes takes, :bowl_g as the cooked bowl weighs, :trim_g peeled off before,
      #   :count or :size_g, :fresh how many stay so, :place_id for those, :frozen_place_id for the rest,
      #   :container_id the jars they go into, :label, :directions, :despite why, see Take
      def perform(input)
        @in = Bench::BowlTakes.new(work, input)
        @label = input[:label].to_s.strip
        raise Refusal.of(:bowl_without_name, at: "/label") if @label.empty?

        refuse_too_heavy(input[:bowl_g].to_r)
        @jars = jars(input)
        @portioned = reckon(input, @in.takes.map { |one| share(one) })
        @jars&.check(portioned.count, portioned.each_g)
        @in.additions.refuse_unfrozen if frozen(input).positive?
        despite = Kits::Floor.new(work).guard(leaving, input[:despite])
        made = entry("share_bowl", "Made #{portioned.count} portions of #{size}: #{@label}#{despite}")
        @portioned = reckon(input, drawn(made))
        food_id = food(made)
        stacks = parts(input).map { |part| stack(made, food_id, part, input) }
        over(made, food_id, input)
        done(made, lot_id: stacks.first.id, lot_ids: stacks.map(&:id), portions: portioned.count,
          each_minor: portioned.costs.uniq)
      end

      # What the kitchen takes, by stack.
      def leaving
        bowl = @in.takes.group_by { |one| one.lot.id }.transform_values { |list| list.sum(&:units) }
        bowl.merge(@in.additions.leaving(portioned.count))
      end

      def refuse_too_heavy(bowl_g)
        return if bowl_g <= @in.takes.sum(&:grams) * SWELLS

        raise Refusal.of(:weighed_in_too_much, at: "/bowl_g")
      end

      def share(take) = Core::Money.share(take.lot.value_minor, take.units, take.lot.on_hand)

      def reckon(input, values)
        intakes = @in.takes.zip(values).map do |take, value|
          Core::Portioning::Intake.new(food: @in.food(take.lot), grams: take.grams, value_minor: value)
        end
        bench = Core::Portioning::Bench.new(
          intakes, trim_g: input[:trim_g].to_r, bowl_g: input[:bowl_g].to_r, additions: @in.additions.sums
        )
        bench.call(count: Bench::Jars.count(@jars, bench, @in.additions.sums, input), size: input[:size_g]&.to_r)
      rescue ArgumentError => e
        raise Refusal.of(:portion_size, at: "/count", words: e.message.capitalize)
      end

      def jars(input)
        freezing = !input[:frozen_place_id].nil? || (input[:place_id] && work.place(input[:place_id]).kind == "freezer")
        input[:container_id] && Bench::Jars.new(work, input[:container_id], name: @label, freezing: freezing)
      end

      # What the stacks really gave up, pack by pack.
      def drawn(made)
        taking = Taking.new(work, made)
        @in.additions.draw(made, portioned.count)
        @in.takes.map { |one| taking.take(one.lot, one.units, "cooked") }
      end

      def size = work.size(Core::Quantity.new(portioned.each_g.round(2), :mass))

      def frozen(input) = input[:frozen_place_id] ? portioned.count - [input.fetch(:fresh, 0), portioned.count].min : 0

      def parts(input)
        cold = frozen(input)
        stays = input[:place_id] || fridge
        fresh = portioned.count - cold
        { stays => portioned.costs.first(fresh), input[:frozen_place_id] => portioned.costs.drop(fresh) }
          .flat_map do |place_id, costs|
            costs.tally.map { |cost, count| Part.new(place_id: place_id, count: count, cost_minor: cost) }
          end
      end

      def fridge
        found = work.places.each_value.find { |one| one.kind == "fridge" }
        raise Refusal.of(:no_fridge, at: "/place_id") unless found

        found.id
      end

      def stack(made, food_id, part, input)
        facts = {
          pack_amount: portioned.each_g, place_id: part.place_id, label: @label, container_id: @jars&.id,
          directions: input[:directions].to_s.strip
        }
        kept(made, food_id, facts, portioned.each_g * part.count, part.cost_minor * part.count)
      end

      # What is left of the bowl when portions are of one size.
      def over(made, food_id, input)
        return unless portioned.rest_g.positive?

        facts = { pack_amount: nil, place_id: input[:place_id] || fridge, label: "#{@label}, rest" }
        kept(made, food_id, facts, portioned.rest_g, portioned.rest_value)
      end

      # It stood in the kitchen first: what goes into the freezer was made, then frozen.
      def kept(made, food_id, facts, amount, value)
        place = work.place_in_use(facts[:place_id])
        start = place.kind == "freezer" ? fridge : place.id
        moves = [start, place.id].uniq.map { |id| work.happening("moved", place_id: id) }
        poured = facts[:pack_amount] ? @in.additions.poured(moves) : []
        lot = made.new_lot(
          food_id: food_id, dimension: "mass", situation: "left_over", made_on: work.on, start_place_id: start,
          value_estimated: @in.estimated?, **facts, history: [*before, *moves.drop(1), *poured]
        )
        @in.went_in.each { |source, units| made.came_of(lot, source, units, "cooked") }
        made.move(lot, amount, value, "made")
      end

      def before
        parts = @in.cooked_before
        parts.empty? ? [] : [work.happening("cooked", parts: parts)]
      end

      # A bowl of this name that holds this; what holds more is another food to whoever may not have it.
      def food(made)
        holds = @in.foods.flat_map(&:allergens).uniq.sort
        OwnFood.ensure(
          work, made,
          key: ["bowl", @label.downcase.gsub(/[^\p{Alnum}]+/, "-"), *holds].join("-"), name: @label, allergens: holds,
          class_key: DishFood::COOKED, aisle: "Home leftovers", food_group: "protein", dimension: "mass"
        )
      end

      def told
        {
          count: portioned.count, share: size, pool: work.size(Core::Quantity.new(portioned.pool_g, :mass)),
          costs: portioned.costs.tally.map { |cost, count| { count: count, cost_minor: cost } },
          rest: portioned.rest_g.positive? ? work.size(Core::Quantity.new(portioned.rest_g, :mass)) : nil,
          rest_minor: portioned.rest_value, trim: work.size(Core::Quantity.new(portioned.trim_g.round(2), :mass)),
          spoiled_minor: 0, jars: @jars&.told, **energy
        }
      end

      # Of the raw food, shared out; nil where a food has no figure.
      def energy
        sums = %i[kcal protein_g].to_h { |name| [name, each(name)] }
        { kcal: sums[:kcal]&.round, protein_g: sums[:protein_g] && Core::Decimal.print(sums[:protein_g].round(1)) }
      end

      def each(name)
        bowl = @in.takes.sum(0r) { |one| (figure(@in.food(one.lot), name) or return) * one.grams / 100 }
        added = @in.additions.sums.sum(0r) { |one| (figure(one.food, name) or return) * one.each / 100 }
        (bowl * portioned.share_g / portioned.pool_g) + added
      end

      def figure(food, name) = food.nutrition.public_send(name)
    end
  end
end
