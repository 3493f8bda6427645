# frozen_string_literal: true

require_relative "plain_packs"
require_relative "problem"

module NutShelf
  module Core
    module Planner
      # What a plan costs, rule by rule and without a shortcut: what the search is held against. Coins, exact.
      class Scorer
        # A plan that breaks a rule.
        class Illegal < StandardError
        end

        # @param problem [Problem]
        def initialize(problem)
          @problem = problem
          @params = problem.params
        end

        # @param plan [Array<Meal>] one a slot, in their order
        # @return [Rational] coins, lower is better
        # @raise [Illegal] naming the slot and the rule
        def cost(plan)
          legal(plan)
          draws(plan) + packed(plan) + repetition(plan) + tags(plan) + meals(plan) + changes(plan) + tallies(plan)
        end

        # @param plan [Array<Meal>]
        # @return [Rational] coins for what is not there, in whole packs
        def spent(plan)
          walked(plan).sum(0r) do |food, packs, wanted, made, days|
            packs.cost(wanted, made, days)
            packs.bought * food.price
          end
        end

        private

        def slots = @problem.slots

        def dish(meal) = @problem.dishes.fetch(meal.dish)

        def legal(plan)
          slots.each_with_index do |slot, index|
            meal = plan.fetch(index)
            case meal.kind
            when "cook" then legal_cook(slot, meal, index)
            when "leftovers" then legal_leftovers(plan, slot, meal, index)
            end
            wanted(slot, meal, index)
          end
          plan.filter_map(&:from).tally.each { |slot, times| refuse(slot, "it feeds too many") if times > most(slot) }
        end

        # What somebody wants of it counts whatever the most is.
        def most(slot) = [@params.again_most, slots.count { |one| one.leftovers_from == slot }].max

        def wanted(slot, meal, index)
          refuse(index, "it is to be left open") if slot.skip && meal.kind != "skip"
          refuse(index, "another dish is pinned") if slot.pin && (meal.kind != "cook" || meal.dish != slot.pin)
          return unless slot.leftovers_from && meal.from != slot.leftovers_from

          refuse(index, "it must be leftovers of #{slot.leftovers_from}")
        end

        def legal_cook(slot, meal, index)
          one = dish(meal)
          refuse(index, "not for its eaters") if slot.only && !slot.only.include?(meal.dish)
          return if slot.pin

          refuse(index, "no such meal") unless one.meals.include?(slot.meal)
          refuse(index, "too long") if one.minutes > slot.max_minutes
          refuse(index, "no gear") unless (one.gear - slot.gear).empty?
        end

        def legal_leftovers(plan, slot, meal, index)
          cook = plan.fetch(meal.from)
          refuse(index, "no leftovers wanted") unless slot.allow_leftovers || slot.leftovers_from
          refuse(index, "leftovers of no cook") unless cook.kind == "cook" && meal.from < index
          refuse(index, "not for its eaters") if slot.may && !slot.may.include?(cook.dish)
          days = slot.day - slots[meal.from].day
          refuse(index, "too old") unless dish(cook).keeps_days.positive? && days <= dish(cook).keeps_days
        end

        def refuse(index, why) = raise(Illegal, "Slot #{index}: #{why}.")

        def draws(plan)
          left, cost = drawn(plan)
          last = @params.days - 1 + @params.grace_days
          @problem.foods.each_with_index do |food, key|
            next if packs.include?(key)

            weight = food.waste_weight || @params.waste_weight
            food.lots.each_with_index do |lot, index|
              cost += weight * lot.unit_cost * left[key][index] if lot.last_good <= last
            end
          end
          cost
        end

        # Foods it matters for how they are packed, or that a dish makes.
        def packs
          @packs ||= begin
            made = @problem.dishes.flat_map(&:makes).map(&:food)
            @problem.foods.each_index.select do |key|
              food = @problem.foods[key]
              food.shop&.days || food.lots.any?(&:pack) || made.include?(key)
            end
          end
        end

        def packed(plan)
          walked(plan, packs).sum(0r) { |_, one, wanted, made, days| one.cost(wanted, made, days) }
        end

        # Foods with what is wanted of each by day, and what dishes make of it.
        def walked(plan, keys = @problem.foods.each_index)
          wanted = by_day
          made = by_day
          eat(plan) { |food, amount, day| wanted[food][day] += amount }
          make(plan) { |one, amount, day| made[one.food][day] += amount }
          makes = @problem.dishes.flat_map(&:makes).group_by(&:food)
          keys.map do |key|
            food = @problem.foods[key]
            [food, PlainPacks.new(food, @params), wanted[key], made[key], makes.fetch(key, []).map(&:days).min || 0]
          end
        end

        # @yield [Making, base units, day] of every cook
        def make(plan)
          plan.each_with_index do |meal, index|
            next unless meal.kind == "cook"

            dish(meal).makes.each { |one| yield(one, one.quantity * servings(plan, index), slots[index].day) }
          end
        end

        def by_day = Hash.new { |all, key| all[key] = Hash.new(0r) }

        # @yield [food, base units, day] for every line of every cook
        def eat(plan)
          plan.each_with_index do |meal, index|
            next unless meal.kind == "cook"

            dish(meal).lines.each_with_index do |line, at|
              option = meal.choices.fetch(at, 0)
              next if option == -1

              other = option.zero? ? nil : line.substitutes.fetch(option - 1)
              amount = line.quantity * (other ? other.ratio : 1) * servings(plan, index)
              yield(other ? other.food : line.food, amount, slots[index].day)
            end
          end
        end

        def servings(plan, index)
          slots[index].eaters + plan.each_index.sum { |at| plan[at].from == index ? slots[at].eaters : 0 }
        end

        def drawn(plan)
          left = @problem.foods.each_with_index.to_h { |food, key| [key, food.lots.map(&:quantity)] }
          cost = 0r
          plan.each_with_index do |meal, index|
            next unless meal.kind == "cook"

            servings = servings(plan, index)
            dish(meal).lines.each_with_index do |line, at|
              cost += line(line, meal.choices.fetch(at, 0), servings, slots[index].day, left)
            end
          end
          [left, cost]
        end

        def line(line, option, servings, day, left)
          return line.omit_cost * servings if option == -1
          return take(line.food, line.quantity * servings, day, left) if option.zero?

          other = line.substitutes.fetch(option - 1)
          (other.cost * servings) + take(other.food, line.quantity * other.ratio * servings, day, left)
        end

        def take(key, wanted, day, left)
          return 0r if packs.include?(key)

          food = @problem.foods.fetch(key)
          cost = 0r
          order = food.lots.each_index.sort_by { |index| [food.lots[index].last_good, index] }
          order.each do |index|
            next if food.lots[index].last_good < day || !wanted.positive?

            amount = [left[key][index], wanted].min
            left[key][index] -= amount
            wanted -= amount
            cost += @params.stock_value * food.lots[index].unit_cost * amount
          end
          cost + (wanted * food.price)
        end

        def repetition(plan)
          cooked = Hash.new { |all, key| all[key] = [] }
          @problem.history.each { |one| cooked[one.dish] << one.day }
          plan.each_with_index { |meal, index| cooked[meal.dish] << slots[index].day if meal.kind == "cook" }
          window = @params.rep_window_days
          times = cooked.values.sum do |days|
            ((1 - window)..(@params.days - 1)).sum do |start|
              [days.count { |day| day.between?(start, start + window - 1) } - 1, 0].max
            end
          end
          times * @params.rep_cost
        end

        def tags(plan)
          { protein: @params.protein_cost, starch: @params.starch_cost }.sum(0r) do |kind, price|
            seen = plan.each_with_index.select { |meal, _| meal.kind == "cook" }.map do |meal, index|
              [dish(meal).public_send(kind), slots[index].day]
            end
            seen = seen.reject { |tag, _| tag.nil? }.uniq
            price * seen.count { |tag, day| seen.include?([tag, day + 1]) }
          end
        end

        def meals(plan)
          plan.each_with_index.sum(0r) do |meal, index|
            slot = slots[index]
            case meal.kind
            when "cook" then (@params.minute_cost * dish(meal).minutes) - liked(dish(meal), slot)
            when "leftovers"
              again = dish(plan.fetch(meal.from))
              liked = @params.leftover_like * @params.liking_weight * liking(again, slot)
              @params.leftover_cost - ((liked - again.extra) * slot.eaters) + frozen(again, slots[meal.from], slot)
            else slot.skip ? 0r : @params.skip_cost_per_eater * slot.eaters
            end
          end
        end

        def frozen(dish, cook, slot)
          dish.chilled_days && slot.day - cook.day > dish.chilled_days ? @params.freeze_cost : 0r
        end

        def changes(plan)
          changed = slots.each_with_index.count do |slot, index|
            slot.now && !slot.skip && (plan[index].kind != "cook" || plan[index].dish != slot.now)
          end
          @params.change_cost * changed
        end

        def tallies(plan)
          cooked = plan.each_with_index.filter_map do |meal, index|
            [meal.dish, slots[index].day] if meal.kind == "cook"
          end
          @problem.tallies.sum(0r) do |tally|
            (0...@params.days).step(tally.days).sum(0r) do |from|
              times = cooked.count { |dish, day| tally.dishes.include?(dish) && day - from < tally.days && day >= from }
              tally.costs.fetch(times) { tally.costs.last }
            end
          end
        end

        def liked(dish, slot) = ((@params.liking_weight * liking(dish, slot)) - dish.extra) * slot.eaters

        def liking(dish, slot) = dish.likings ? dish.likings.fetch(slot.table) : dish.liking
      end
    end
  end
end
