# frozen_string_literal: true

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
          draws(plan) + repetition(plan) + tags(plan) + meals(plan) + changes(plan) + tallies(plan)
        end

        # @return [Hash{Integer=>Array<Rational>}] base units left of each food's lots
        def left(plan) = drawn(plan).first

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
          fed = plan.filter_map(&:from)
          refuse(fed.first, "it feeds two") if fed.uniq.size < fed.size
        end

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
            food.lots.each_with_index do |lot, index|
              cost += @params.waste_weight * lot.unit_cost * left[key][index] if lot.last_good <= last
            end
          end
          cost
        end

        def drawn(plan)
          left = @problem.foods.each_with_index.to_h { |food, key| [key, food.lots.map(&:quantity)] }
          cost = 0r
          plan.each_with_index do |meal, index|
            next unless meal.kind == "cook"

            servings = slots[index].eaters + plan.each_index.sum { |at| plan[at].from == index ? slots[at].eaters : 0 }
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
              liked = @params.leftover_like * @params.liking_weight * again.liking
              @params.leftover_cost - ((liked - again.extra) * slot.eaters)
            else slot.skip ? 0r : @params.skip_cost_per_eater * slot.eaters
            end
          end
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

        def liked(dish, slot) = ((@params.liking_weight * dish.liking) - dish.extra) * slot.eaters
      end
    end
  end
end
