# frozen_string_literal: true

require_relative "../value"
require_relative "judging"

module NutShelf
  module Core
    module Outage
      # Up to so many hours in the dark (nil: from then on) that is done with it, by that rule. Frozen.
      Turn = Value.of(:upto, :act, :rule)

      # What the rules will say of an item, hour by hour, while nobody takes a reading: for a house where nothing
      # answers (docs/kits.md 8). Verdicts change only where a time of the rules is over, so each such hour is tried.
      class Ahead
        START = Time.utc(2026, 1, 1)
        HOUR = 3600

        # @param catalog [Catalog]
        # @param figures [Figures]
        # @param fill [Rational] how full the freezer is
        def initialize(catalog, figures, fill:)
          @catalog = catalog
          @figures = figures
          @fill = fill
          @judged = {}
        end

        # @param item [Item] nobody has looked at
        # @return [Array<Turn>] by hours
        def turns(item)
          hours = times(item)
          all = [*hours, nil].map { |upto| turn(item, upto, hours.last) }
          all.chunk_while { |one, two| one.act == two.act && one.rule == two.rule }.map(&:last)
        end

        private

        def turn(item, upto, last)
          verdict = judging(upto || (last + 1)).of(item)
          Turn.new(upto: upto, act: verdict.act, rule: verdict.rule)
        end

        # Hours after which a rule may say something else.
        def times(item)
          shut = @figures.usual("fridge-hours-no-power")
          allowed = cut(0r).hours_allowed(@figures)
          bears = item.food.warm_hours
          [shut, (shut + bears if bears), allowed / 2, allowed, allowed + @figures.usual("two-hour-rule")]
            .compact.uniq.sort
        end

        def judging(hours) = @judged[hours] ||= Judging.new(@catalog, @figures, cut(hours))

        def cut(hours) = Cut.new(start: START, ends: START + (hours * HOUR), fill: @fill)
      end
    end
  end
end
