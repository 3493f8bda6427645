# frozen_string_literal: true

require_relative "moves"
require_relative "problem"

module NutShelf
  module Core
    module Planner
      # Looks for a plan that costs little: begins with the cheapest dish for every slot, then changes it by Moves. A
      # change that costs more is kept with a chance that falls as the temperature does (simulated annealing), so that
      # the search leaves the first hollow it falls into. Ends in the best plan it saw, polished slot by slot. The same
      # seed and budget of moves give the same plan.
      class Search
        # Coins: begin and end of the temperature, by the seconds there are.
        HEAT = [[0.6, 1.0, 0.15], [3.0, 1.5, 0.2], [Float::INFINITY, 2.5, 0.2]].freeze
        # Seconds a slot below which there are too few changes to begin as hot (a month in a third of a second).
        HURRY = 0.007
        HURRIED = [nil, 0.6, 0.25].freeze
        # From a plan that is good already: warm enough to let go of a few meals.
        MILD = [nil, 0.4, 0.1].freeze
        # Moves between two looks at the clock.
        STRIDE = 8
        # The temperature falls by so much before the noise is reckoned anew.
        STEP = 0.96

        attr_reader :state, :tried, :kept

        # @param problem [Problem]
        # @param seed [Integer]
        # @param from [Array<Meal>, nil] a plan to begin with
        # @param keep [Array<Integer>] slots of it that stay as they are
        def initialize(problem, seed: 1, from: nil, keep: [])
          @tables = Tables.new(problem)
          @problem = problem
          @chance = Random.new(seed)
          @state = State.new(@tables)
          @scan = Scan.new(@tables, @state, @chance)
          free = problem.slots.each_index.reject { |slot| problem.slots[slot].skip || keep.include?(slot) }
          @moves = Moves.new(@tables, @state, @scan, @chance, free)
          @free = free
          @tried = @kept = 0
          @from = from
          from ? stand(from) : @moves.refill(free)
        end

        # Searches, and yields every better plan it has when somebody may want one.
        # @param seconds [Float, nil] by the clock
        # @param moves [Integer, nil] how many moves, whatever the clock says
        # @param clock [#call] seconds that pass, for what goes by the clock
        # @param every [Float] seconds between two plans that are told
        # @yield [Array<Meal>, Rational] the best plan so far and what it costs in coins
        # @return [Array<Meal>]
        def run(seconds: nil, moves: nil, clock: -> { 0.0 }, every: 0.1, &told)
          return plan if @free.empty?

          @clock = clock

          @seconds = [seconds || (moves / 5000.0), 0.001].max
          _, hot, cold = heat
          @hot = hot * Tables::MONEY
          @cold = cold * Tables::MONEY
          @budget = moves
          anneal(every, &told)
          polish
          told&.call(plan, cost)
          plan
        end

        # @return [Rational] coins
        def cost = Rational(@state.total, Tables::MONEY)

        # @return [Array<Meal>] as it stands
        def plan
          @problem.slots.each_index.map do |slot|
            case @state.kind[slot]
            when State::COOK
              choices = @state.choices[slot].reject { |_, option| option.zero? }
              Meal.new(slot: slot, kind: "cook", dish: @state.dish[slot], choices: choices.freeze)
            when State::LEFTOVERS then Meal.new(slot: slot, kind: "leftovers", from: @state.from[slot])
            else Meal.new(slot: slot, kind: "skip")
            end
          end.freeze
        end

        private

        def stand(from)
          fed = from.select { |meal| meal.kind == "leftovers" }.group_by(&:from)
          fed = fed.transform_values { |meals| meals.map(&:slot) }
          cooks = from.select { |meal| meal.kind == "cook" }
          cooks.each do |meal|
            @problem.slots[meal.slot].then do |slot|
              put(meal, fed[meal.slot]) if slot.pin.nil? || slot.pin == meal.dish
            end
          end
          @moves.refill(@free.select { |slot| @state.kind[slot] == State::EMPTY && wanted?(from[slot]) })
        end

        # Choices it would not make itself it does not know; then the cheapest.
        def put(meal, fed)
          [
            -> { @scan.put_chosen(meal.slot, meal.dish, meal.choices, fed) },
            -> { @scan.put_dish(meal.slot, meal.dish, fed) }, -> { @scan.put_dish(meal.slot, meal.dish) }
          ].find { |way| way.call || @state.kind[meal.slot] == State::COOK }
        end

        # What was left open on purpose stays so to begin with.
        def wanted?(meal) = meal.kind != "skip" || @problem.slots[meal.slot].pin

        def heat
          return MILD if @from

          @seconds < HURRY * @free.size ? HURRIED : HEAT.find { |limit, *| @seconds <= limit }
        end

        def anneal(every, &told)
          @before = State.new(@tables)
          @best = State.new(@tables)
          @before.become(@state)
          @best.become(@state)
          @began = now
          @told_at = @began
          loop do
            share = share()
            break if share >= 1

            warm(share)
            STRIDE.times { step }
            next unless told && now - @told_at >= every && @best.total != @told

            @told_at = now
            tell(&told)
          end
          @state.become(@best)
        end

        def tell
          @before.become(@state)
          @state.become(@best)
          @told = @best.total
          yield plan, cost
          @state.become(@before)
        end

        def share = @budget ? @tried.to_f / @budget : (now - @began) / @seconds

        def now = @clock.call

        def warm(share)
          @temperature = @hot * ((@cold / @hot)**share)
          return if @cooled && @temperature > @cooled * STEP

          @cooled = @temperature
          @scan.cool(@temperature)
        end

        # A method of its own: what is called often is compiled.
        def step
          @tried += 1
          before = @before.total
          made = @moves.call
          more = @state.total - before
          if made && (more <= 0 || more < @temperature * -Math.log(1 - @chance.rand))
            @kept += 1
            @before.become(@state)
            @best.become(@state) if @state.total < @best.total
          else
            @state.become(@before)
          end
        end

        # Slot by slot the cheapest, until nothing gets cheaper.
        def polish
          @scan.cool(0)
          @before.become(@state)
          better = true
          while better
            better = false
            @free.each do |slot|
              made = @moves.again(slot)
              if made && @state.total < @before.total
                better = true
                @before.become(@state)
              else
                @state.become(@before)
              end
            end
          end
        end
      end
    end
  end
end
