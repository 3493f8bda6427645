# frozen_string_literal: true

require_relative "../value"
require_relative "cost_floor"

module NutShelf
  module Core
    module Kits
      # The cheapest packs that cover one or two amounts at once; then fewer packs, then less weight, then more of the
      # earlier offer. By branch and bound: a set is set aside only where another gives at least as much for no more, or
      # where even the cheapest that can follow (CostFloor) costs more than a limit. The limit lies a little above that
      # floor, and is raised until a set within it is found. Exact where no kind can be needed more than MANY times
      # and no more than BEAM sets are as good as each other; past that, only BAND counts of a kind to either side of
      # the best for what is still open are tried, and the most promising sets followed.
      class Covering
        MANY = 60
        BAND = 6
        BEAM = 1000

        # A kind of pack: its food, what it gives of each amount, its price, its weight, and how many of it can be had
        # (nil: as many as one likes). Frozen.
        Kind = Value.of(:food, :gives, :price_minor, :weight, :max)

        # A set under way: what is still open of each amount, what it costs (price, packs, weight), its packs by kind,
        # and what of the first amount the food under way gives, with its smallest pack.
        Step = Struct.new(:open, :cost, :counts, :given, :smallest)
        private_constant :Step

        # @param kinds [Array<Kind>] the earlier offer first
        # @param half [Rational, nil] no food covers more of the first amount, packs up
        def initialize(kinds, half: nil)
          @kinds = kinds
          @half = half
          freeze
        end

        # @param amounts [Array<Rational>] to cover, each 0 or more
        # @return [Array<Integer>, nil] packs of each kind; nil where no set covers them
        def call(amounts)
          foods = foods_in_turn(amounts)
          start = Step.new(amounts, [0, 0, 0r], Array.new(@kinds.size, 0))
          return unless reaches?(start, foods.flatten)

          floors = floors(foods.flatten)
          limits(foods.flatten, floors.first.of(amounts), start)
            .lazy.filter_map { |limit| cheapest(foods, floors.dup, start, limit) }.first&.counts
        end

        private

        # @return [Step, nil] the best that costs no more than the limit
        def cheapest(foods, floors, start, limit)
          best = nil
          steps = [start]
          foods.each_with_index do |places, turn|
            done, steps = extended(places, steps, floors, limit).partition { |step| step.open.all?(&:zero?) }
            best = [best, *done].compact.min_by { |step| rank(step) }
            limit = best.cost.first if best
            steps = kept(steps, foods.drop(turn + 1).flatten, floors.first, limit)
          end
          best
        end

        # What the rest costs at least, before each kind in turn and after the last.
        def floors(places)
          places.reverse.inject([CostFloor.bare]) do |all, at|
            [all.first.with(@kinds[at].gives, @kinds[at].price_minor), *all]
          end
        end

        # From about what it must cost up in growing strides, to what everything together costs.
        def limits(places, floor, start)
          floor += dearer_half(places, floor) if @half
          all = places.sum { |at| @kinds[at].price_minor * most(@kinds[at], Step.new(start.open, nil, nil, 0r)) }
          Enumerator.produce(places.map { |at| @kinds[at].price_minor }.min.clamp(1, nil)) { |stride| stride * 2 }
            .lazy.map { |stride| floor + stride }.take_while { |limit| limit < all }.to_a << all
        end

        # Foods as places of their kinds, the best value first, large packs before small ones: what is cheap and goes
        # far leaves little to search.
        def foods_in_turn(amounts)
          useful = @kinds.each_index.select { |at| useful?(@kinds[at], amounts) }
          useful.sort_by { |at| [dearness(@kinds[at], amounts), -@kinds[at].gives.first, at] }
            .group_by { |at| @kinds[at].food }.values
        end

        def useful?(kind, amounts) = kind.gives.zip(amounts).any? { |give, open| give.positive? && open.positive? }

        # Money for the share of what is open that one pack covers.
        def dearness(kind, amounts)
          share = kind.gives.zip(amounts).sum(0r) { |give, open| open.positive? ? give / open : 0r }
          kind.price_minor / share
        end

        # No food may cover much more than half: what the second one costs more, which the floor does not know of.
        def dearer_half(places, floor)
          second = places.map { |at| [@kinds[at].food, @kinds[at].price_minor / @kinds[at].gives.first] }
            .group_by(&:first).values.map { |rates| rates.map(&:last).min }.sort[1]
          second ? [(second * @half) - (floor / 2), 0r].max : 0r
        end

        def extended(places, steps, floors, limit)
          fresh = steps.map { |step| Step.new(step.open, step.cost, step.counts, 0r, nil) }
          done = places.inject(fresh) do |all, at|
            floors.shift
            able = front(all.flat_map { |step| with_kind(step, at, floors.first, limit) })
            next able if able.size <= BEAM

            able.min_by(BEAM) { |step| step.cost.first + floors.first.of(step.open) }
          end
          done.select { |step| within?(step) }
        end

        # As many of a kind as keep below the limit. What a count leads to at least falls, then rises with it.
        def with_kind(step, place, floor, limit)
          kind = @kinds[place]
          all = Hash.new { |known, count| known[count] = taken(step, kind, place, count) }
          cost = ->(count) { all[count].cost.first + floor.of(all[count].open) }
          top = most(kind, step)
          best = (0...top).bsearch { |count| cost[count + 1] > cost[count] } || top
          [best.downto(0), (best + 1).upto(top)].flat_map do |counts|
            counts.first(top > MANY ? BAND : top + 1).take_while do |count|
              cost[count] <= limit
            end.map { |count| all[count] }
          end
        end

        def taken(step, kind, place, count)
          return step if count.zero?

          open = step.open.zip(kind.gives).map { |left, give| [left - (give * count), 0r].max }
          price, packs, weight = step.cost
          counts = step.counts.dup
          counts[place] = count
          Step.new(
            open, [price + (kind.price_minor * count), packs + count, weight + (kind.weight * count)], counts,
            step.given + (kind.gives.first * count), [step.smallest, kind.gives.first].compact.min
          )
        end

        def most(kind, step)
          needed = kind.gives.zip(step.open).map { |give, left| give.positive? ? (left / give).ceil : 0 }.max
          half = @half && [((@half - step.given) / kind.gives.first).ceil, 0].max
          [needed, kind.max, half].compact.min
        end

        # Without its smallest pack a food must not be past the half.
        def within?(step) = @half.nil? || step.smallest.nil? || step.given - step.smallest < @half

        def rank(step) = [*step.cost, step.counts.map(&:-@)]

        # What cannot win any more is dropped.
        def kept(steps, rest, floor, limit)
          able = steps.select { |step| reaches?(step, rest) && step.cost.first + floor.of(step.open) <= limit }
          undominated(able)
        end

        # Within a food half counts too: only sets that may go on in the same way are held against each other.
        def front(steps)
          return undominated(steps) unless @half

          steps.group_by { |step| [step.given, step.smallest, step.open] }.values
            .map { |alike| alike.min_by { |step| rank(step) } }
        end

        def undominated(steps)
          steps.sort_by { |step| rank(step) }.each_with_object([]) do |step, front|
            beaten = front.reverse_each.any? { |other| other.open.zip(step.open).all? { |one, two| one <= two } }
            front << step unless beaten
          end
        end

        # @return [Boolean] whether what may still be taken is enough
        def reaches?(step, rest)
          step.open.each_with_index.all? do |open, which|
            open.zero? || rest.any? { |at| @kinds[at].max.nil? && @kinds[at].gives[which].positive? } ||
              rest.sum(0r) { |at| @kinds[at].gives[which] * (@kinds[at].max || 0) } >= open
          end
        end
      end
    end
  end
end
