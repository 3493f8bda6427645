# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What somebody will draw of a food on a day: grams as it comes from the pack; `meal`: whose, nil for what is used
    # besides. Frozen.
    Demand = Value.of(:on, :grams, meal: nil)

    # What a household wants in the house of a food, in grams: below `floor` it is filled up to `par`; where only one of
    # them is said it is both. Frozen.
    Wanted = Value.of(par: nil, floor: nil) do
      # @param left [Rational] grams there will be
      # @return [Rational] grams that are wanted besides
      def short(left) = left < (floor || par || 0r) ? [par, floor].compact.max - left : 0r
    end

    # What to get of a food on one day: grams asked for, by `meals` ([Demand]), by `habit` and for what is wanted in the
    # house; `bought`: what is bought for it, as whoever buys answered. `late`: it is wanted before anybody goes to the
    # shops. Frozen.
    Get = Value.of(:on, :grams, :bought, meals: [].freeze, habit: 0r, wanted: 0r, late: false)

    # What is to be got of one food on which shopping day (docs/buying.md). The days ahead are walked with what is
    # there; what is short is bought on the day that serves it, and they are walked again with what was bought, until
    # nothing is short that a trip can mend: a pack that is opened early is not there for the end of the week.
    class FoodNeed
      # Walks until nothing is short: more can only be asked for by packs that open and turn within the days.
      MOST = 40

      # `gets` by day, first day first; `spoils`: demands whose food will not keep from its trip to its day. Frozen.
      Answer = Value.of(:gets, spoils: [].freeze)

      # @param key [String] of the food
      # @param demands [Array<Demand>] in the order of the days and of the meals on each
      # @param days [TripDays]
      # @param buy [#call] grams and day to anything that answers `amount` (grams) and `stacks` ([Stack])
      # @param keeps [Integer, nil] days from the shop, for those at the meals; nil for longer than anybody plans
      # @param besides [Integer, nil] the same for what is used besides
      # @param trifle [Rational] grams of what is used besides for which nobody goes shopping
      def initialize(key, demands:, days:, buy:, keeps: nil, besides: keeps, wanted: nil, trifle: 0r)
        @key = key
        @demands = demands
        @days = days
        @buy = buy
        @keeps = keeps
        @besides = besides
        @wanted = wanted
        @trifle = trifle
      end

      # @yield a fresh cursor on the shelf, asked for once a walk
      # @return [Answer]
      def call
        @bought = {}
        @asked = {}
        @in_vain = []
        MOST.times do
          @short = walk(yield).map { |one| hopeless?(one) ? one.with(spoils: true) : one }
          day, list = without_trifles(@short.reject(&:spoils)).group_by(&:day).min_by(&:first)
          break unless day

          # One trip at a time: what its packs leave over is there on the next.
          @asked[day] ||= list
          more(day, list.sum(0r, &:grams))
        end
        answer
      end

      private

      # Grams that are not there: `day` they are to be got on, `demand` who lacks them (nil: what is used besides),
      # `wanted`: for the house alone. Frozen.
      Short = Value.of(:day, :grams, :demand, wanted: false, spoils: false)
      private_constant :Short

      # Nobody buys a jar for a spoonful that is used besides.
      def without_trifles(list)
        besides = list.reject { |one| one.demand || one.wanted }.group_by(&:day)
        small = besides.select { |_, shorts| shorts.sum(0r, &:grams) < @trifle }.keys
        list.reject { |one| one.demand.nil? && !one.wanted && small.include?(one.day) }
      end

      # What a further pack did not help: it turns before it is wanted, once open.
      def hopeless?(short) = @in_vain.include?(short.day) && !short.wanted

      def more(day, grams)
        return @in_vain << day if @last == [day, grams]

        @last = [day, grams]
        before = @bought[day]
        # What is bought and still not there in time is bought once more, not swallowed by the rest of its pack.
        need = before ? [before.first, before.last.amount].max + grams : grams
        @bought[day] = [need, @buy.(need, day)]
      end

      def walk(cursor)
        @bought.each_value { |_, got| got.stacks.each { |stack| cursor.bring(stack) } }
        @cursor = cursor
        @since = @days.from
        @total = 0r
        short = []
        # At the start of a trip's day what was used so far is settled, and what is wanted is looked at.
        marks = [*@days.marks(@keeps), *@days.marks(@besides)].uniq.sort
        @demands.each do |demand|
          marks.shift.then { |mark| pass(mark, short) } while marks.any? && marks.first <= demand.on
          use(demand, short)
        end
        marks.each { |mark| pass(mark, short) }
        short
      end

      def pass(mark, short)
        settle(mark, short)
        return unless mark == @days.covered(@keeps) && @wanted

        grams = @wanted.short(@cursor.left_for_all(@key, mark))
        short << Short.new(day: @days.first, grams: grams, demand: nil, wanted: true) if grams.positive?
      end

      def use(demand, short)
        settle(demand.on, short)
        lacks = @cursor.draw(@key, demand.grams, demand.on).missing
        @total += lacks
        note(short, lacks, demand.on, demand) if lacks.positive?
      end

      # What was used day by day since the last look and was not there.
      def settle(day, short)
        @cursor.reach(@key, day)
        total = @cursor.shorts[@key]&.total || 0r
        lacks = total - @total
        note(short, lacks, @since, nil) if lacks.positive?
        @total = total
        @since = [day, @since].max
      end

      def note(short, grams, on, demand)
        day = @days.serving(on, @keeps)
        keeps = demand ? @keeps : @besides
        spoils = keeps && day + keeps < on
        short << Short.new(day: day, grams: grams, demand: demand, spoils: spoils || false)
      end

      def answer
        Answer.new(
          gets: @bought.sort.map { |day, (_, got)| get(day, @asked.fetch(day), got) }.freeze,
          spoils: @short.select(&:spoils).filter_map(&:demand).freeze
        )
      end

      def get(day, list, got)
        meals, rest = list.partition(&:demand)
        wanted, habit = rest.partition(&:wanted)
        Get.new(
          on: day, grams: list.sum(0r, &:grams), bought: got, late: day < @days.first,
          meals: meals.map { |one| one.demand.with(grams: one.grams) }.freeze,
          habit: habit.sum(0r, &:grams), wanted: wanted.sum(0r, &:grams)
        )
      end
    end
  end
end
