# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    module Kits
      # The cheapest packs that cover one or two amounts at once; then fewer packs, then less weight, then more of the
      # earlier offer. Exact: a set is set aside only where another gives at least as much for no more, or where even
      # the best that can follow costs more than what is known to do.
      class Covering
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
          best = nil
          steps = [Step.new(amounts, [0, 0, 0r], Array.new(@kinds.size, 0))]
          foods.each_with_index do |places, turn|
            done, steps = extended(places, steps).partition { |step| step.open.all?(&:zero?) }
            best = [best, *done].compact.min_by { |step| rank(step) }
            steps = kept(steps, foods.drop(turn + 1).flatten, best)
          end
          best&.counts
        end

        private

        # Foods as places of their kinds, the best value first: what is cheap early ends the search early.
        def foods_in_turn(amounts)
          @kinds.each_index.select { |at| useful?(@kinds[at], amounts) }.group_by { |at| @kinds[at].food }.values
            .sort_by { |places| [places.map { |at| dearness(@kinds[at], amounts) }.min, places.first] }
        end

        def useful?(kind, amounts) = kind.gives.zip(amounts).any? { |give, open| give.positive? && open.positive? }

        # Money for the share of what is open that one pack covers.
        def dearness(kind, amounts)
          share = kind.gives.zip(amounts).sum(0r) { |give, open| open.positive? ? give / open : 0r }
          kind.price_minor / share
        end

        def extended(places, steps)
          fresh = steps.map { |step| Step.new(step.open, step.cost, step.counts, 0r, nil) }
          places.inject(fresh) { |all, at| all.flat_map { |step| with_kind(step, at) } }.select { |step| within?(step) }
        end

        def with_kind(step, place)
          kind = @kinds[place]
          (0..most(kind, step)).map { |count| count.zero? ? step : taken(step, kind, place, count) }
        end

        def taken(step, kind, place, count)
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
        def kept(steps, rest, best)
          able = steps.select { |step| reaches?(step, rest) && !(best && hopeless?(step, rest, best)) }
          able.sort_by { |step| rank(step) }.each_with_object([]) do |step, front|
            front << step unless front.any? { |other| other.open.zip(step.open).all? { |one, two| one <= two } }
          end
        end

        # @return [Boolean] whether what may still be taken is enough
        def reaches?(step, rest)
          step.open.each_with_index.all? do |open, which|
            open.zero? || rest.any? { |at| @kinds[at].max.nil? && @kinds[at].gives[which].positive? } ||
              rest.sum(0r) { |at| @kinds[at].gives[which] * (@kinds[at].max || 0) } >= open
          end
        end

        # Even if packs could be cut, the rest would cost too much.
        def hopeless?(step, rest, best)
          least = step.open.each_with_index.map do |open, which|
            open.zero? ? 0r : open * rest.filter_map { |at| rate(@kinds[at], which) }.min
          end.max
          step.cost.first + least > best.cost.first
        end

        def rate(kind, which) = kind.gives[which].positive? ? kind.price_minor / kind.gives[which] : nil
      end
    end
  end
end
