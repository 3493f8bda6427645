# frozen_string_literal: true

require_relative "finishing"
require_relative "scan"

module NutShelf
  module Core
    module Planner
      # How a plan is changed: meals change places, or are taken out and filled again. What one change breaks is filled
      # again with it, so that every move ends in a plan that keeps the rules.
      class Moves
        # How often each is tried, in hundredths.
        WEIGHTS = {
          swap: 40, rotate: 5, one: 15, few: 15, near: 15, sharing: 15, pair: 5, trade: 5
        }.freeze
        # Where packs are opened, see Finishing.
        WITH_PACKS = { finish: 15, choose: 8 }.freeze
        KEEP_PARTNER = 0.5
        TRY_PARTNER = 0.2
        NEAR = 6

        # @param tables [Tables]
        # @param state [State]
        # @param scan [Scan]
        # @param chance [Random]
        # @param free [Array<Integer>] slots that may change
        def initialize(tables, state, scan, chance, free)
          @slots = tables.problem.slots
          @tables = tables
          @state = state
          @scan = scan
          @chance = chance
          @free = free
          @finishing = Finishing.new(tables, state, scan, chance, free)
          weights = tables.packs.none? ? WEIGHTS : WEIGHTS.merge(WITH_PACKS)
          @names = weights.flat_map { |name, weight| [name] * weight }.freeze
        end

        # Makes one move, chosen by chance.
        # @return [Boolean] false where it could not be made: the plan is to be taken back
        def call
          return one if @free.size < 2

          case @names[@chance.rand(@names.size)]
          when :swap then swap
          when :rotate then rotate
          when :one then one
          when :few then ruin(some(2 + @chance.rand(3)))
          when :near then near
          when :sharing then sharing
          when :pair then pair
          when :finish then finish
          when :choose then @finishing.choose || one
          else trade
          end
        end

        # Fills slots in an order of chance; what is pinned to another one's leftovers after its cook.
        # @param slots [Array<Integer>] open ones
        # @param partners [Hash{Integer=>Array<Integer>}] which later slots each one fed
        # @return [Boolean] whether every slot that must be filled is
        def refill(slots, partners = {})
          order = slots.size < 2 ? slots : slots.shuffle(random: @chance)
          order = order.partition { |slot| @slots[slot].leftovers_from.nil? }.flatten if order.any? do |slot|
            @slots[slot].leftovers_from
          end
          order.each { |slot| fill(slot, slots, partners[slot]) if @state.kind[slot] == State::EMPTY }
          slots.all? { |slot| @state.kind[slot] != State::EMPTY || !must?(slot) }
        end

        # Takes one slot out and fills it again.
        # @param slot [Integer]
        # @return [Boolean]
        def again(slot) = ruin([slot])

        private

        def must?(slot) = @slots[slot].pin || @slots[slot].leftovers_from || @tables.fits.feeder[slot]

        def fill(slot, open, partner)
          later = wanted_by(slot) || partner_for(slot, open, partner&.first)
          return @scan.fill(slot) unless later && @scan.fill_pair(slot, later)

          partner&.drop(1)&.each { |fed| @scan.add(slot, fed) if @state.kind[fed] == State::EMPTY }
        end

        # A later slot that must have this one's leftovers; those after it are added when they are filled.
        def wanted_by(slot)
          @tables.fits.feeder[slot]&.find { |later| @state.kind[later] == State::EMPTY }
        end

        def partner_for(slot, open, partner)
          if partner
            return partner if open?(partner, slot) && @chance.rand < KEEP_PARTNER
          elsif @chance.rand < TRY_PARTNER
            later = open.select { |at| at > slot && open?(at, slot) }
            return later[@chance.rand(later.size)] unless later.empty?
          end
          nil
        end

        def open?(later, slot)
          @state.kind[later] == State::EMPTY && later > slot && !@tables.fits.kept(slot, later).empty?
        end

        def some(count) = Array.new(count) { @free[@chance.rand(@free.size)] }.uniq

        def any = @free[@chance.rand(@free.size)]

        def one = ruin([any])

        # Takes meals out, and fills what is open then.
        def ruin(slots)
          partners = {}
          open = take_out(slots, partners)
          refill(open, partners)
        end

        def take_out(slots, partners)
          open = slots.flat_map do |slot|
            case @state.kind[slot]
            when State::COOK then cleared(slot, partners)
            when State::LEFTOVERS
              keep_without(@state.from[slot], slot)
            else [slot]
            end
          end
          open.uniq
        end

        def cleared(slot, partners)
          fed = @state.feeds[slot]
          partners[slot] = fed if fed
          @state.clear(slot)
          [slot, *fed]
        end

        # The dish stays, cooked for its own meal and the others that were fed.
        def keep_without(slot, later)
          dish = @state.dish[slot]
          fed = @state.feeds[slot]
          @state.clear(slot)
          @scan.put_dish(slot, dish, fed.size > 1 ? fed - [later] : nil)
          [later]
        end

        # A dish that uses the rest of an opened pack, near in time to what opened it.
        def finish
          slot, dish = @finishing.proposal
          return one unless slot

          partners = {}
          open = take_out([slot], partners)
          return false unless @scan.put_dish(slot, dish)

          refill(open - [slot], partners)
        end

        def near
          slot = any
          day = @slots[slot].day
          close = @free.select { |at| at != slot && (@slots[at].day - day).abs <= 3 }
          ruin([slot, *close.sample(1 + @chance.rand(3), random: @chance)])
        end

        # A meal, and others that draw on one of its foods.
        def sharing
          slot = any
          slot = @state.from[slot] if @state.kind[slot] == State::LEFTOVERS
          draws = @state.draws[slot]
          return ruin([slot]) if draws.nil? || draws.empty?

          food = @tables.food_of[draws[2 * @chance.rand(draws.size / 2)]]
          others = @free.select { |at| at != slot && @state.draws[at] && draws?(@state.draws[at], food) }
          ruin([slot, *others.sample(1 + @chance.rand(3), random: @chance)])
        end

        def draws?(draws, food)
          first = @tables.first[food]
          last = @tables.last[food]
          at = 0
          while at < draws.size
            return true if draws[at].between?(first, last)

            at += 2
          end
          false
        end

        # Two slots get a dish together, the later one its leftovers.
        def pair
          slot = any
          later = @free.select { |at| at > slot && @slots[at].day - @slots[slot].day <= 4 && @slots[at].pin.nil? }
          return false if later.empty?

          later = later[@chance.rand(later.size)]
          partners = {}
          open = take_out([slot, later], partners)
          return false unless open?(later, slot) && @state.kind[slot] == State::EMPTY && @scan.fill_pair(slot, later)

          refill(open - [slot, later], {})
        end

        def swap
          one = any
          other =
            if @chance.rand < 0.6
              at = one + @chance.rand((2 * NEAR) + 1) - NEAR
              at.between?(0, @slots.size - 1) ? at : any
            else
              any
            end
          exchange([one, other])
        end

        def rotate = exchange(some(3))

        def trade
          cooks = @free.select { |at| @state.feeds[at] }
          return false if cooks.empty?

          slot = cooks[@chance.rand(cooks.size)]
          exchange([slot, @state.feeds[slot].first, any, any].uniq, [2, 3, 0, 1])
        end

        # What stands in these slots goes around; leftovers go with their meal as far as that keeps the rules.
        def exchange(slots, order = nil)
          return false if slots.size < 2 || slots.any? { |slot| stays?(slot) }

          target = targets(slots, order)
          meals = slots.flat_map { |slot| [slot, @state.from[slot], *@state.feeds[slot]] }.compact.uniq
          cooks = meals.select { |slot| @state.kind[slot] == State::COOK }
          return false unless cooks.all? { |slot| free?(slot) || target.key?(slot) }
          return false if misfits(cooks, target) > 1

          refill([*meals, *target.values].uniq.select { |slot| @state.kind[slot] == State::EMPTY })
        end

        def targets(slots, order)
          order = nil if order && slots.size != order.size
          slots.each_index.to_h { |at| [slots[at], slots[order ? order[at] : (at + 1) % slots.size]] }
        end

        # Takes the cooks out and puts each where it is to go.
        # @return [Integer] how many do not fit there
        def misfits(cooks, target)
          where = ->(slot) { target.fetch(slot, slot) }
          standing = cooks.map do |slot|
            [where.(slot), @state.dish[slot], @state.feeds[slot]&.map(&where)]
          end
          cooks.each { |slot| @state.clear(slot) }
          standing.count { |slot, dish, fed| !place(slot, dish, fed) }
        end

        def stays?(slot) = @slots[slot].skip || must?(slot) || !free?(slot)

        def free?(slot) = (@is_free ||= @free.to_h { |at| [at, true] })[slot]

        def place(slot, dish, fed)
          if fed
            fits = fed.all? { |later| later > slot && open?(later, slot) }
            return true if fits && @scan.put_dish(slot, dish, fed)
            return false if @state.kind[slot] == State::COOK
          end
          @scan.put_dish(slot, dish) && fed.nil?
        end
      end
    end
  end
end
