# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Jars by kind against what is eaten until the next harvest.
    module Season
      # Jars of one batch: how large, how many, good through that day. Frozen.
      JarStack =
        Value.of(:id, :size_ml, :count, :good_until) do
          # @return [Rational] millilitres
          def ml = size_ml * count
        end

      # What goes past uneaten of one batch, and its last good day. Frozen.
      Past = Value.of(:id, :ml, :after)

      # A walk through the days: millilitres short, the first short day, what goes past, what is left by batch. Frozen.
      Walked = Value.of(:short_ml, :hole_from, :past, :left)

      # Eats from jars day by day, what ends first first, each good through its day.
      class JarWalk
        # @param daily [Rational] millilitres a day
        def initialize(daily)
          @daily = daily
        end

        # @param jars [Array<JarStack>]
        # @param from [Date]
        # @param to [Date] the last day
        # @param left [Hash{Object=>Rational}, nil] what is there of each batch by now
        # @return [Walked]
        def call(jars, from:, to:, left: nil)
          left = jars.to_h { |jar| [jar.id, left ? left.fetch(jar.id) : jar.ml] }
          order = jars.sort_by { |jar| [jar.good_until.jd, jar.id.to_s] }
          short = 0r
          hole = nil
          (from..to).each do |day|
            lacking = eat(order, left, day)
            hole ||= day if lacking.positive?
            short += lacking
          end
          Walked.new(short_ml: short, hole_from: hole, past: past(order, left, to), left: staying(order, left, to))
        end

        private

        def eat(order, left, day)
          order.reduce(@daily) do |lacking, jar|
            next lacking if jar.good_until < day

            part = [left[jar.id], lacking].min
            left[jar.id] -= part
            lacking - part
          end
        end

        def past(order, left, to)
          order.select { |jar| jar.good_until <= to && left[jar.id].positive? }
            .map { |jar| Past.new(id: jar.id, ml: left[jar.id], after: jar.good_until) }.freeze
        end

        # What is past by the end is not left.
        def staying(order, left, to)
          order.to_h { |jar| [jar.id, jar.good_until <= to ? 0r : left[jar.id]] }.freeze
        end
      end
    end
  end
end
