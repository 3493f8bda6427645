# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # When to begin what, counted back from the minute everything is to stand on the table: each dish first keeps a cook
    # busy, then cooks by itself, in the oven or elsewhere. One cook does one thing at a time, one oven holds one dish.
    # Every order of up to EXACT dishes is tried, of more the best place for each in turn, then pairs change places.
    class BackSchedule
      # A dish to schedule: `work` minutes of a cook, `alone` minutes it takes by itself, in the `oven` or not;
      # `waits`: it may stand ready without harm; `ahead`: it is made on the day before. Frozen.
      Dish = Value.of(:key, :name, :work, :alone, oven: false, waits: false, ahead: false)

      # What happens when, in minutes before serving (begin > end): `cook` which cook, nil for what goes by itself;
      # `kind`: "work", "oven", "alone". Frozen.
      Task = Value.of(:key, :name, :kind, :begins, :ends, :cook)

      # All of it: tasks first to last; `ready`: dish to minutes it stands ready before serving; `ahead`: what is made
      # on the day before, in the order to make it. Frozen.
      Made = Value.of(:tasks, :ready, :ahead, :begins)

      EXACT = 6
      # A minute that something hot stands waiting counts so many minutes of an early start.
      COOLS = 5

      # Twice as much to peel takes half as long again, for boards, pots and taps are the same.
      # @param minutes [Integer] of a cook, for the dish as it is written
      # @param times [Rational] so many times as much of it
      # @return [Integer] whole five minutes
      def self.work(minutes, times)
        longer = times > 1 ? 1 + (Math.log2(times) / 2) : 1
        times > 1 ? (minutes * longer / 5).ceil * 5 : minutes
      end

      # @param dishes [Array<Dish>]
      # @param cooks [Integer]
      # @param ovens [Integer]
      def initialize(dishes, cooks: 1, ovens: 1)
        @ahead, @dishes = dishes.partition(&:ahead)
        @cooks = cooks
        @ovens = ovens
      end

      # @return [Made]
      def call
        best = @dishes.size <= EXACT ? every : placed
        tasks = run(best).sort_by { |task| [-task.begins, -task.ends, task.key.to_s] }
        Made.new(
          tasks: tasks.freeze, ahead: day_before.freeze, begins: tasks.map(&:begins).max || 0,
          ready: @dishes.to_h { |dish| [dish.key, ready(tasks, dish)] }.freeze
        )
      end

      private

      def every = @dishes.permutation.min_by { |order| [cost(order), order.map { |dish| dish.key.to_s }] }

      # Those that take longest first, each where it costs least; then whatever pair is better the other way round.
      def placed
        order = @dishes.sort_by { |dish| [-(dish.work + dish.alone), dish.key.to_s] }.reduce([]) do |made, dish|
          (0..made.size).map { |at| made.dup.insert(at, dish) }.min_by { |one| cost(one) }
        end
        order.each_index.to_a.combination(2) { |one, other| order = better(order, one, other) }
        order
      end

      def better(order, one, other)
        swapped = order.dup
        swapped[one], swapped[other] = swapped[other], swapped[one]
        cost(swapped) < cost(order) ? swapped : order
      end

      def cost(order)
        tasks = run(order)
        cooling = order.sum { |dish| dish.waits ? 0 : ready(tasks, dish) }
        (tasks.map(&:begins).max || 0) + (COOLS * cooling)
      end

      def ready(tasks, dish) = tasks.filter_map { |task| task.ends if task.key == dish.key }.min || 0

      # Backwards from the table: the first in the order gets the last minutes.
      def run(order)
        cooks = Array.new(@cooks) { [] }
        ovens = Array.new(@ovens) { [] }
        order.flat_map do |dish|
          done = dish.oven && dish.alone.positive? ? baked(dish, ovens) : [0, dish.alone, nil]
          worked(dish, cooks, *done)
        end
      end

      # The oven is taken as late as it is free; the work before it as late as a cook is.
      def baked(dish, ovens)
        ends, oven = ovens.each_with_index.map { |busy, at| [free(busy, 0, dish.alone), at] }.min
        ovens[oven] << [ends, ends + dish.alone]
        [ends, ends + dish.alone, oven]
      end

      def worked(dish, cooks, ends, begins, oven)
        tasks = []
        kind = oven ? "oven" : "alone"
        if dish.alone.positive?
          tasks << Task.new(key: dish.key, name: dish.name, kind: kind, begins: begins, ends: ends)
        end
        return tasks unless dish.work.positive?

        at, cook = cooks.each_with_index.map { |busy, one| [free(busy, begins, dish.work), one] }.min
        cooks[cook] << [at, at + dish.work]
        tasks << Task.new(key: dish.key, name: dish.name, kind: "work", begins: at + dish.work, ends: at, cook: cook)
        # What cooks by itself outside the oven begins as soon as the work is done.
        oven || dish.alone.zero? ? tasks : [tasks.last, tasks.first.with(begins: at, ends: at - dish.alone)]
      end

      # @param busy [Array<Array(Integer, Integer)>] minutes before serving, [end, begin]
      # @return [Integer] the smallest end from which there is room
      def free(busy, from, length)
        at = from
        busy.sort.each do |ends, begins|
          at = begins if at < begins && at + length > ends
        end
        at
      end

      def day_before = @ahead.sort_by { |dish| [-(dish.work + dish.alone), dish.key.to_s] }
    end
  end
end
