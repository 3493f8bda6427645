# frozen_string_literal: true

require_relative "../../core/buying/food_need"
require_relative "../../core/buying/trip_days"
require_relative "../../core/planning/weight"
require_relative "../../core/value"
require_relative "../belonging"
require_relative "../pack_rests"
require_relative "../plan"
require_relative "../shopping_days"
require_relative "../usage_rates"
require_relative "offers"
require_relative "purchase"
require_relative "shop_shelf"

module NutShelf
  module Desk
    # What to buy, from every source that is reckoned: the planned meals, what is used besides, what the household wants
    # in the house, and what is kept by level and runs out (docs/buying.md). A person's own lines stand beside it.
    class ShoppingList
      # A food to buy: `gets` on which day what ([Core::Get], the coming trip's first, with what is wanted before it),
      # `spoils`: demands whose food will not keep till then; `level` of what is kept by level; `want`: what the
      # household said of it; `keeps`: days from the shop; `eaten`: grams eaten before it turns, nil where nobody knows;
      # `weighed`: whether amounts are grams, else base units of the food. Frozen.
      Line =
        Core::Value.of(
          :food_id, :food, :want, :level, :keeps, :eaten, gets: [].freeze, spoils: [].freeze, weighed: true
        )

      # Days that are looked at where the household has no shopping days.
      DAYS = 7
      # Longest that anybody looks for shopping days.
      FAR = 62

      # @param work [UnitOfWork]
      # @param days [Integer, nil] so many days from today on, with all that keeps bought at once; nil: by the
      #   household's shopping days
      # @param shop_id [Integer, nil] whose prices count first
      def initialize(work, days: nil, shop_id: nil)
        @work = work
        @days = days
        @shop_id = shop_id
        @offers = Offers.new(work, shop_id: shop_id, feed: feed)
      end

      # @return [ShopShelf] what the shop somebody goes to has today
      def shop_shelf
        @shop_shelf ||= ShopShelf.new(
          @work, shop, rests: PackRests.new(@work, strict: plan.strict?), keeps: shopping.method(:keeps),
          prices: @offers
        )
      end

      # @param key [String] of a food
      # @return [Rational] grams used a week, cooked and eaten
      def weekly_of(key) = (rates.daily(key) || 0r) * 7

      # @return [Plan]
      def plan = @plan ||= Plan.new(@work, to: trips.to)

      # @return [Core::TripDays] this trip and the ones after it
      def trips
        @trips ||=
          if @days || shopping_days.empty?
            Core::TripDays.new([], from: @work.today, to: @work.today + (@days || DAYS) - 1, all_at_once: true)
          else
            Core::TripDays.new(
              shopping_days.first(3), from: @work.today, to: last_day, may_fall_out: shopping.may_fall_out?
            )
          end
      end

      # @return [Array<Line>] by name, those that are silent left out
      def lines = @lines ||= found.reject { |line| silent?(line) }

      # @return [Array<Line>] what would be asked for if nobody had said not to
      def silent = @silent ||= found.select { |line| silent?(line) }

      # What meals lack and no shop sells: a part of another dish, something nobody can weigh.
      # @return [Hash{String=>Array<Core::MissingList::Planned>}] by key of the food
      def not_sold
        dishes = plan.forecast.dishes.select { |meal, _| meal.on <= trips.to }
        pairs = dishes.flat_map { |meal, dish| dish.missing.map { |line| [line.food_key, meal] } }
        pairs.reject { |key, _| buyable?(key) }.group_by(&:first).transform_values { |list| list.map(&:last).uniq }
      end

      # @return [ShoppingDays]
      def shopping = @shopping ||= ShoppingDays.new(@work, from: @work.today, to: @work.today + FAR)

      private

      def shop = @shop ||= @shop_id && @work.house.shopping.shop(@shop_id)

      def feed = shop ? @work.services.shop_feed.on_shelf(shop.name) : []

      def shopping_days = @shopping_days ||= shopping.days

      # The day before the third trip, else as far as plans look.
      def last_day
        third = shopping_days[3] || shopping_days[2]
        third ? third - 1 : [shopping_days.last + DAYS, @work.today + Plan::HORIZON].max
      end

      def silent?(line) = (last = line.want&.silent_until) && last >= @work.today

      def found
        @found ||= [*settled, *counted, *by_level].uniq(&:food_id).sort_by { |line| line.food.name }
      end

      # What is bought for one dish may be what another would rather have than its stand-in: then the meals are laid out
      # anew with what is bought, until all of them have what they need.
      def settled
        forecast = plan.forecast
        lines = weighed(forecast)
        TURNS.times do
          break unless rearranged?(forecast, lines)

          forecast = plan.ahead(lines.flat_map { |line| stacks(line) })
          break if lacking(forecast).all? { |key| spoils?(lines, key) }

          lines = weighed(forecast)
        end
        lines
      end

      # Whether a dish takes a stand-in, or does without, for what is bought now: it would rather have that. Or lacks
      # what is asked for, and what is bought for another could stand in.
      def rearranged?(forecast, lines)
        keys = lines.map { |line| line.food.key }
        forecast.dishes.any? do |meal, dish|
          meal.on <= trips.to && dish.recipe.lines.any? { |line| torn?(dish, line, keys) }
        end
      end

      # What a dish does without does not stand among its lines.
      def torn?(dish, line, keys)
        served = dish.lines.find { |one| one.line == line }
        return keys.include?(line.food_key) if served.nil? || served.food_key != line.food_key

        served.missing.positive? && line.substitutes.each_key.any? { |key| keys.include?(key) }
      end

      # Times the meals are laid out anew.
      TURNS = 3
      private_constant :TURNS

      def stacks(line) = line.gets.flat_map { |get| get.bought.stacks }

      def spoils?(lines, key) = lines.any? { |line| line.food.key == key && line.spoils.any? }

      # @return [Array<String>] foods that meals up to the last day lack and that can be bought
      def lacking(forecast)
        dishes = forecast.dishes.select { |meal, _| meal.on <= trips.to }.values
        dishes.flat_map { |dish| dish.missing.map(&:food_key) }.uniq.select { |key| buyable?(key) }
      end

      def wants = @wants ||= @work.house.shopping.wants

      # Of what is there for every meal and every day nothing can be asked for: it is not walked again.
      def weighed(forecast)
        demands = demands(forecast)
        (@short ||= []).concat(lacking(forecast), plan.forecast.runs_out.keys)
        keys = [*@short, *wanted_keys].uniq.select { |key| buyable?(key) }
        keys.filter_map { |key| line(key, demands.fetch(key, [])) }
      end

      # Whatever is made at home cannot be bought, and what is kept by level is asked for by that.
      def buyable?(key)
        food = foods[key]
        food && food.aisle != "Home leftovers" && key != Core::Shelf::TAP && !plan.shelf.free?(key) && unit(food)
      end

      def line(key, demands)
        id = plan.shelf.food_ids.fetch(key)
        purchase = purchase(id, rates.daily(key))
        need = Core::FoodNeed.new(
          key, demands: demands, days: trips, buy: purchase, keeps: purchase.keeps, besides: purchase.keeps_besides,
          wanted: wanted(id), trifle: purchase.trifle
        )
        coming = [*plan.inflows.select { |stack| stack.food_key == key }, *in_basket(id, purchase)]
        answer = need.call { plan.cursor.tap { |cursor| coming.each { |stack| cursor.bring(stack) } } }
        return if answer.gets.empty? && answer.spoils.empty?

        Line.new(
          food_id: id, food: foods[key], want: wants[id], keeps: purchase.keeps, eaten: purchase.eaten_while_good,
          level: plan.shelf.running_out[key], **answer.to_h
        )
      end

      def purchase(id, daily)
        where = belonging
        Purchase.new(@work, id, prices: @offers.of(id), belonging: where, daily: daily || 0r, strict: plan.strict?)
      end

      # Asked once for all that may stand on the list.
      def belonging
        @belonging ||=
          begin
            keys = [*plan.forecast.runs_out.keys, *plan.shelf.running_out.keys]
            ids = plan.shelf.food_ids.values_at(*keys, *lacking(plan.forecast)).compact
            ids = [*ids, *wants.keys].uniq
            @offers.know(ids)
            Belonging.new(@work).know(ids)
          end
      end

      # What is drawn of each food up to the last day, in the order it is.
      def demands(forecast)
        forecast.dishes.select { |meal, _| meal.on <= trips.to }.each_with_object({}) do |(meal, dish), by_key|
          dish.lines.each { |line| demand(by_key, meal, line) }
        end
      end

      def demand(by_key, meal, line)
        grams = line.picks.sum(0r, &:amount) + line.missing
        return unless grams.positive?

        (by_key[line.food_key] ||= []) << Core::Demand.new(on: meal.on, grams: grams, meal: meal.id)
      end

      # What was ticked and stands nowhere yet is as good as at home.
      def in_basket(id, purchase) = basket.fetch(id, []).flat_map { |line| purchase.ticked(line) }

      def basket = @basket ||= @work.house.shopping.bought.group_by(&:food_id)

      # @return [Core::Habits] what is used in all, cooked and eaten
      def rates = @rates ||= @work.kept(:rates, :stock, :plan, :people, :rules) { usage.habits }

      def usage = @usage ||= UsageRates.new(@work)

      def foods = plan.shelf.foods

      def wanted_keys
        @wanted_keys ||= wants.keys.filter_map { |id| plan.shelf.food_ids.key(id) if wanted(id) }
      end

      # In grams; in the food's own units where nothing says what it weighs.
      def wanted(id)
        want = wants[id] or return
        food = @work.food(id)
        unit = unit(food) || 1r
        par = want.par ? want.par * unit : want.par_weeks && (want.par_weeks * weekly(id, food))
        floor = want.floor && (want.floor * unit)
        Core::Wanted.new(par: par, floor: floor) if par || floor
      end

      def weekly(id, food) = unit(food) ? (rates.daily(food.key) || 0r) * 7 : usage.rate(id, food.dimension.to_s).weekly

      def unit(food) = Core::Weight.of_unit(food, food.dimension, nil)

      # Soap, batteries, bags: what nothing says the weight of is counted.
      def counted
        wants.keys.filter_map do |id|
          food = @work.food(id)
          next if unit(food) || !(wanted = wanted(id))

          counted_line(id, food, wanted)
        end
      end

      def counted_line(id, food, wanted)
        used = usage.rate(id, food.dimension.to_s).daily * (trips.covered(nil) - @work.today).to_i
        left = pieces(id, food) - used
        habit = [-left, 0r].max
        short = wanted.short([left, 0r].max)
        return unless (habit + short).positive?

        bought = purchase(id, 1r).call(habit + short, trips.first)
        get = Core::Get.new(on: trips.first, grams: habit + short, bought: bought, habit: habit, wanted: short)
        Line.new(food_id: id, food: food, want: wants[id], gets: [get].freeze, weighed: false)
      end

      def pieces(id, food)
        in_basket(id, purchase(id, nil)).sum(0r, &:amount) + plan.shelf.stacks.each_value.sum(0r) do |stack|
          mine = stack.food_id == id && stack.dimension == food.dimension && stack.noun.nil?
          mine && !stack.quarantined && !stack.unfit?(@work.today) ? stack.free : 0r
        end
      end

      # A further pack stands there that nobody keeps by level yet.
      def another?(key) = plan.cursor.left_for_all(key, trips.first).positive?

      # One pack of what is kept by level and runs low.
      def by_level
        plan.shelf.running_out.filter_map do |key, level|
          id = plan.shelf.food_ids[key]
          next if id.nil? || basket.key?(id) || another?(key)

          bought = purchase(id, rates.daily(key)).one(trips.first)
          get = Core::Get.new(on: trips.first, grams: 0r, bought: bought)
          Line.new(food_id: id, food: foods.fetch(key), want: wants[id], level: level, gets: [get].freeze)
        end
      end
    end
  end
end
