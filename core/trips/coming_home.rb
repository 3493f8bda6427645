# frozen_string_literal: true

require_relative "../dating/judge"
require_relative "../value"

module NutShelf
  module Core
    module Trips
      # What comes home: its food, what its date rests on, whether it was kept cold, where it goes. `since`: the day its
      # own keeping counts from; `frozen_on` and `thawed_on` for what came out of the freezer to go along. Frozen.
      Returned =
        Value.of(
          :food, :printed_on, :printed_kind, :opened_on, :since, :frozen_on, :thawed_on,
          situation: "bought_sealed", home_place: "cupboard", cold_kept: false
        )

      # Its fate: :back, :shelf (thawed: not frozen again) or :out, its date, whether somebody looks first, how much of
      # its time is used up (nil where no rule says). Frozen.
      Fate = Value.of(:fate, :good_until, :look, :used, :why)

      # What becomes of food that comes home from a trip (docs/trips.md 5): true dates, and out what needed cold.
      class ComingHome
        # Above that on the way somebody looks at it.
        HOT_C = 30
        CUPBOARD = Standing.new(name: "on the way", kind: "cupboard")

        # @param catalog [Catalog]
        # @param policy [Policy]
        # @param left_on [Date]
        # @param back_on [Date]
        # @param highest_c [Rational, nil] on the way
        def initialize(catalog, policy, left_on:, back_on:, highest_c: nil)
          @catalog = catalog
          @policy = policy
          @left_on = left_on
          @back_on = back_on
          @hot = !highest_c.nil? && highest_c > HOT_C
        end

        # @param item [Returned]
        # @return [Fate]
        def of(item)
          return Fate.new(fate: :out, why: "out of the cold") if !item.cold_kept && needs_cold?(item)
          return thawed(item) if item.thawed_on
          return by_rule(item) if item.since

          Fate.new(fate: :back, good_until: date(item), look: @hot && !item.cold_kept)
        end

        private

        def rules(item) = RulesInPlace.new(@catalog, @policy, item.food)

        def needs_cold?(item)
          return false if item.since || item.thawed_on

          rules = rules(item)
          situation = item.opened_on ? "opened" : item.situation
          return false if rules.row(situation, CUPBOARD)

          row = rules.row(situation, rules.fridge)
          !row.nil? && (row.kind == :safety || item.food.high_risk)
        end

        # It has the days after thawing, no more, and does not go back into the freezer.
        def thawed(item)
          rules = rules(item)
          row = rules.row(item.situation, rules.freezer)
          return Fate.new(fate: :out, why: "no figure once thawed") unless row&.after_thaw_days

          Fate.new(fate: :shelf, good_until: item.thawed_on + row.after_thaw_days)
        end

        # The share of its time that is used up, at home and on the way, is gone wherever it stands.
        def by_rule(item)
          rules = rules(item)
          home = rules.row(item.situation, Standing.new(name: item.home_place, kind: item.home_place))
          away = rules.row(item.situation, CUPBOARD)
          return Fate.new(fate: :out, why: "no figure for the way") unless home && away

          days = rules.days(home)
          used = Rational((@left_on - item.since).to_i, days) + Rational((@back_on - @left_on).to_i, rules.days(away))
          return Fate.new(fate: :out, why: "its time is over", used: used) if used > 1

          Fate.new(fate: :back, good_until: @back_on + ((1 - used) * days).floor, used: used)
        end

        def date(item)
          opened = item.opened_on ? [Event.new(kind: :opened, on: item.opened_on, order: 1)] : []
          Judge.date(
            Story.new(
              food: item.food, situation: item.situation, printed_on: item.printed_on, known_on: @left_on,
              printed_kind: item.printed_kind, events: opened,
              place: item.cold_kept ? Standing.new(name: "the cold box", kind: "fridge") : CUPBOARD
            ),
            catalog: @catalog, policy: @policy, today: @back_on
          ).usable_until
        end
      end
    end
  end
end
