# frozen_string_literal: true

require_relative "candidates"
require_relative "feeding"
require_relative "state"

module NutShelf
  module Core
    module Planner
      # Fills one open slot of a plan with the dish that costs least as the plan stands, or at a temperature with a
      # dish drawn by chance, the cheaper the likelier: every cost gets a noise of its own and the lowest sum wins,
      # which is a draw by Gibbs' rule (the Gumbel trick).
      class Scan
        include Feeding

        NOISE = 1024
        FAR = Tables::FAR

        # @param tables [Tables]
        # @param state [State] what is filled
        # @param chance [Random]
        def initialize(tables, state, chance)
          @tables = tables
          @state = state
          @chance = chance
          @slots = tables.problem.slots
          @most = tables.problem.params.again_most
          @lists = {}
          @draws = Draws.new(tables)
          # A shuffled set of even quantiles: every scan starts somewhere else in it.
          quantiles = Array.new(NOISE) { |index| Math.log(-Math.log((index + 0.5) / NOISE)) }
          @shape = quantiles.shuffle(random: Random.new(1)).freeze
          @lowest_shape = @shape.min
          cool(0)
        end

        # @param temperature [Numeric] money; 0: the cheapest, no noise
        def cool(temperature)
          @temperature = temperature
          @noise = @shape.map { |one| (one * temperature).round }
          @lowest = (@lowest_shape * temperature).round
        end

        # @param slot [Integer]
        # @param later [Integer, nil]
        # @return [Candidates]
        def list(slot, later = nil)
          @lists[later ? (slot * @slots.size) + later + @slots.size : slot] ||=
            Candidates.new(@tables, @draws, slot, later)
        end

        # Fills an open slot: a dish, the leftovers of an earlier one, or nothing.
        # @param slot [Integer]
        # @return [Boolean] whether something stands there now
        def fill(slot)
          return false if @slots[slot].skip

          start
          one = @slots[slot]
          cooked = one.pin || @tables.fits.feeder[slot]
          nothing(slot) unless cooked || one.leftovers_from
          dishes(list(slot), one.day) unless one.leftovers_from
          leftovers(slot) if one.leftovers_from || (one.allow_leftovers && !cooked)
          settle(slot)
        end

        # Fills a slot with a dish that feeds a later open one as well.
        # @param slot [Integer]
        # @param later [Integer]
        # @return [Boolean] whether there is one
        def fill_pair(slot, later)
          start
          list = list(slot, later)
          dishes(list, @slots[slot].day)
          return false unless @found

          put(slot, list, @found, later)
          true
        end

        # Puts a dish where it fits, its choices at their cheapest.
        # @param fed [Array<Integer>, nil] later slots that get leftovers of it
        # @return [Boolean] whether it fits
        def put_dish(slot, dish, fed = nil)
          list = list(slot, fed&.first)
          place = list.place(dish) or return false
          put(slot, list, place, fed&.first)
          fed.nil? || fed.drop(1).all? { |later| add(slot, later) }
        end

        # Puts a dish where it fits, its choices as they were made.
        # @param choices [Hash{Integer=>Integer}] line to option
        # @param fed [Array<Integer>, nil]
        # @return [Boolean] whether it fits, choices and all
        def put_chosen(slot, dish, choices, fed = nil)
          list = list(slot, fed&.first)
          place = list.place(dish) or return false
          entry = list.entry(place)
          found = entry.free.map { |_, line, options| option(options, choices.fetch(line, 0)) }
          return false if found.any?(&:nil?)

          put(slot, list, place, fed&.first, found)
          fed.nil? || fed.drop(1).all? { |later| add(slot, later) }
        end

        # @return [Integer] money of an entry as the plan stands, FAR as soon as it is no less than the limit
        def exact(list, place, cost, limit)
          entry = list.entry(place)
          fixed = entry.fixed
          at = 0
          while at < fixed.size
            cost += @state.more(fixed[at], fixed[at + 1]) - fixed[at + 2]
            return FAR if cost >= limit

            at += 3
          end
          free = entry.free
          at = 0
          while at < free.size
            cost += cheapest(free[at][2]) - free[at][0]
            return FAR if cost >= limit

            at += 1
          end
          cost
        end

        private

        def start
          @best = FAR
          @found = @from = nil
          @offset = @chance.rand(NOISE)
        end

        def noise(number) = @noise[(@offset + number) & (NOISE - 1)]

        def nothing(slot)
          @best = @tables.skip_cost[slot] + noise(NOISE - 1)
        end

        def dishes(list, day)
          best = list.best
          size = best.size
          place = 0
          while place < size
            least = best[place]
            break if least + @lowest >= @best

            cost = least + @noise[(@offset + place) & (NOISE - 1)]
            if cost < @best
              cost += @state.again(list.dishes[place], day)
              cost = exact(list, place, cost, @best) if cost < @best
              if cost < @best
                @best = cost
                @found = place
              end
            end
            place += 1
          end
        end

        def settle(slot)
          if @from
            enlarge(@from, slot)
          elsif @found
            put(slot, list(slot), @found)
          else
            return false
          end
          true
        end

        def put(slot, list, place, later = nil, chosen = nil)
          entry = list.entry(place)
          fixed = entry.fixed
          draws = []
          at = 0
          while at < fixed.size
            draws << fixed[at] << fixed[at + 1]
            at += 3
          end
          money = entry.money + list.meals(list.dishes[place])
          choices = entry.free.empty? ? entry.given : entry.given.dup
          entry.free.each_with_index do |(_, line, options), number|
            at = chosen ? chosen[number] : pick(options)
            money += options[at + 3]
            choices[line] = options[at]
            draws << options[at + 1] << options[at + 2] if options[at + 1]
          end
          @state.cook(slot, list.dishes[place], draws, money, choices, later && [later].freeze)
        end

        def cheapest(options)
          at = pick(options)
          options[at + 3] + (options[at + 1] ? @state.more(options[at + 1], options[at + 2]) : 0)
        end

        def option(options, wanted) = (0...options.size).step(4).find { |at| options[at] == wanted }

        # @return [Integer] where the cheapest option stands
        def pick(options)
          best = FAR
          found = at = 0
          while at < options.size
            cost = options[at + 3]
            cost += @state.more(options[at + 1], options[at + 2]) if options[at + 1]
            if cost < best
              best = cost
              found = at
            end
            at += 4
          end
          found
        end
      end
    end
  end
end
