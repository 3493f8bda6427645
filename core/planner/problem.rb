# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # Filling meals from what is there, as a problem of money: which dish in which slot, which of them cook for a later
    # one. Read this file first, then Tables (the problem in whole numbers), State (a plan and what it costs), Scan (the
    # best dish for one slot), Moves and Search (how a plan gets better), Scorer (what a plan costs, plainly).
    module Planner
      # What counts how much, in coins: `days`, `grace_days` (what turns so many days after the last still counts as
      # lost), `waste_weight` (a coin of food lost counts so many), `stock_value` (what a coin of stock used costs: 0
      # eats the shelf down, 1 keeps it), `rep_window_days` and `rep_cost` (the same dish within so many days),
      # `protein_cost`, `starch_cost` (the same kind on two days running), `liking_weight` (a coin and eater),
      # `minute_cost`, `leftover_cost` and `leftover_like` (a meal of leftovers), `skip_cost_per_eater` (nothing
      # planned), `change_cost` (another dish than the one that stands there now), `freeze_cost` (a meal of leftovers
      # that were frozen). `again_most`: later meals one cook may serve. Rational. Frozen.
      Params =
        Value.of(
          :days, :grace_days, :waste_weight, :stock_value, :rep_window_days, :rep_cost, :protein_cost, :starch_cost,
          :liking_weight, :minute_cost, :leftover_cost, :leftover_like, :skip_cost_per_eater, change_cost: 0r,
          freeze_cost: 0r, again_most: 1
        )

      # A stack as the planner sees it: base units, the last day it may be eaten (0: the first day), coins a unit.
      # `pack`: base units of a sealed pack of it, nil where nothing is opened or opening changes nothing.
      Lot = Value.of(:quantity, :last_good, :unit_cost, :pack)

      # `price` in coins a base unit; `lots` in the order they are drawn. `opened_days`: a pack of a lot, once opened,
      # is good so many days; `shop`: how it is sold, nil where any amount is bought.
      # `waste_weight`: where losing it counts otherwise than Params says (it can be frozen in time).
      Food = Value.of(:price, :opened_days, :shop, :waste_weight, lots: [].freeze)

      # A pack in the shop: base units, and the days what is left of it is good, nil where that is longer than the plan:
      # then the rest is no loss.
      Shop = Value.of(:pack, :days)

      # What a dish makes besides (broth, cooked grain): base units a serving of a food, good from the next day on for
      # so many days. It costs nothing, eaten or not.
      Making = Value.of(:food, :quantity, :days)

      # Another food in a line: by its place among the foods, how much of it for one of the first, coins a serving.
      Substitute = Value.of(:food, :ratio, :cost)

      # A line of a dish: base units a serving; `omit_cost` in coins a serving where it may be left out, else nil.
      Line = Value.of(:food, :quantity, :omit_cost, substitutes: [].freeze)

      # `liking` 0 to 1, `likings` by Slot#table where tables differ; `protein` and `starch`: kinds by name, nil where
      # there is none. `keeps_days`: 0 where it is not for later; `chilled_days`: how many of these without a freezer,
      # nil for all. `extra`: coins an eater besides, cooked or again.
      Dish = Value.of(:minutes, :keeps_days, :chilled_days, :liking, :likings, :protein, :starch, gear: [].freeze,
        meals: [].freeze, lines: [].freeze, makes: [].freeze, extra: 0r)

      # How often some dishes are cooked in every stretch of `days` (from the first day on) costs so many coins, by the
      # times: `costs`, the last for all times beyond. Frozen.
      Tally = Value.of(:dishes, :costs, days: 7)

      # A meal to fill, in the order of time. `eaters` in servings. `pin`: the dish by its place, whatever minutes and
      # gear say; `leftovers_from`: the slot whose leftovers it must be; `skip`: nothing is wanted; `only`: the dishes
      # that may be cooked for it, `may`: those whose leftovers its eaters may have, nil for all; `now`: the dish that
      # stands there, where a change costs; `table`: who sits there, as far as likes go. Frozen.
      Slot =
        Value.of(:day, :meal, :eaters, :max_minutes, :pin, :leftovers_from, :only, :may, :now, gear: [].freeze,
          skip: false, allow_leftovers: true, table: 0)

      # A dish that was cooked before the first day (`day` below 0).
      Cooked = Value.of(:day, :dish)

      # All of it. Frozen.
      Problem = Value.of(:params, :foods, :dishes, :slots, history: [].freeze, tallies: [].freeze)

      # What fills a slot: `kind` "cook", "leftovers" or "skip"; `choices`: line to option, 0 the food itself, 1 the
      # first substitute, -1 left out; lines not named have the food itself. Frozen.
      Meal = Value.of(:slot, :kind, :dish, :from, choices: {}.freeze)
    end
  end
end
