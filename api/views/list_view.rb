# frozen_string_literal: true

require_relative "../../core/buying/aisle_order"
require_relative "../../core/buying/leave_out"
require_relative "../../desk/shopping/shopping_list"
require_relative "../../desk/shopping/written_line"
require_relative "at_home"
require_relative "plan_view"

module NutShelf
  module Api
    # The shopping list as JSON: what is reckoned and what people wrote, by aisle in the order of the shop, for this
    # trip and the next; while somebody is out with it, as it was taken along, with what has changed since.
    class ListView
      # @param work [Desk::UnitOfWork]
      # @param days [Integer, nil] see Desk::ShoppingList
      # @param shop_id [Integer, nil] a shop that is known, nil: where somebody went last
      def initialize(work, days: nil, shop_id: nil)
        @work = work
        @days = days
        @out = work.house.shopping.open
        @shops = work.house.shopping.shops
        asked = @out ? @out.shop_id : shop_id || work.house.shopping.last_shop_id
        @shop = @shops.find { |shop| shop.id == asked }
        @list = Desk::ShoppingList.new(work, days: days, shop_id: @shop&.id)
        @written = Desk::WrittenLine.new(work, @list)
        @home = AtHome.new(work, @list.plan)
      end

      # @return [Hash]
      def call
        items = @out ? taken : fresh
        {
          days: @days, trips: trips, shops: @shops.map { |shop| shop(shop) }, shop_id: @shop&.id,
          budget_minor: budget, leave_out: leave_out(items), cost_minor: items.sum { |item| item[:cost_minor] || 0 },
          estimated: items.any? { |item| item[:estimated] }, shopping: @out && shopping,
          aisles: by_aisle(items.reject { |item| item[:status] == "removed" }),
          removed: items.select { |item| item[:status] == "removed" },
          additions: @out ? additions : [], later: later, fetch: @home.fetch(@list.trips.next || @list.trips.to),
          not_sold: not_sold, silent: @list.silent.map { |line| silent(line) }, standing: standing,
          waiting: basket.size
        }
      end

      private

      def trips
        trips = @list.trips
        {
          this: trips.first.iso8601, next: trips.next&.iso8601, to: trips.to.iso8601,
          by_days: @days.nil? && @list.shopping.days.any?, may_fall_out: @list.shopping.may_fall_out?
        }
      end

      def shop(shop) = { id: shop.id, name: shop.name, aisles: shop.aisles, version: shop.version }

      # On a trip what whoever went said; else the trip's share of a week, as the household said.
      def budget
        weekly = @work.household.settings["week_budget_minor"].to_i
        days = (@list.trips.covered(nil) - @list.trips.first).to_i
        @out&.budget_minor || (weekly.positive? ? weekly * [days, 1].max / 7 : nil)
      end

      # What could be left out to stay within it, least harm first; nothing is by itself.
      def leave_out(items)
        return [] unless budget

        open = items.reject { |item| %w[removed ticked].include?(item[:status]) }
        spent = items.select do |item|
          item[:status] == "ticked"
        end.sum { |item| item[:paid_minor] || item[:cost_minor].to_i }
        lines = open.each_with_index.map { |item, at| harm(item, at) }
        Core::LeaveOut.call(lines, budget - spent).map do |line|
          { **open[line.id].slice(:ref, :food_id, :text), cost_minor: line.cost, reason: line.reason.to_s }
        end
      end

      def harm(item, at)
        kinds = item[:reasons].to_h { |reason| [reason["kind"], reason["on"]] }
        reason = item[:source] == "list" ? %w[meal habit level].find { |kind| kinds.key?(kind) } || "wanted" : "own"
        on = item[:reasons].filter_map { |one| one["on"] }.min
        Core::LeaveOut::Line.new(
          id: at, cost: item[:cost_minor].to_i, reason: reason.to_sym, on: on && Date.iso8601(on)
        )
      end

      def shopping
        { id: @out.id, on: @out.on_date.iso8601, person: person(@out.account_id) }
      end

      def fresh
        rows = [*@work.house.shopping.waiting, *basket]
        [*now.map { |line| reckoned(line) }, *rows.map { |line| stored(line) }]
      end

      # What was ticked and stands nowhere yet.
      def basket = @basket ||= @work.house.shopping.bought

      def now = @now ||= @list.lines.reject { |line| @written.now(line).empty? }

      # What was taken along, with what was not needed any more since said beside it.
      def taken
        wanted = now.map(&:food_id)
        rows.reject { |row| row.status == "away" }.map do |row|
          lessened = row.source == "list" && row.status == "open" && !wanted.include?(row.food_id)
          { **stored(row), lessened: lessened }
        end
      end

      def rows = @rows ||= @work.house.shopping.of(@out.id)

      def additions
        known = rows.map(&:food_id)
        now.reject { |line| known.include?(line.food_id) }.map { |line| reckoned(line) }
      end

      def reckoned(line)
        written = @written.of(line)
        gets = @written.now(line)
        {
          ref: nil, source: "list", status: "open", note: "", ticked_by: [], changed_by: nil, lessened: false,
          paid_minor: nil, late: gets.any?(&:late), too_much: too_much(line, gets), **words(written)
        }
      end

      # @param row [Store::Rows::ListLine]
      def stored(row)
        {
          ref: row.ref, status: row.status, note: row.note, ticked_by: row.ticks.map { |one| one["name"] },
          changed_by: row.changed_by.empty? ? nil : row.changed_by, lessened: false, paid_minor: row.paid_minor,
          late: false, too_much: nil, source: row.source, **words(row),
          by: row.source == "list" ? nil : person(row.account_id)
        }
      end

      def person(id) = (@people ||= @work.house.access.members.to_h { |one| [one.account_id, one.name] })[id]

      def words(line)
        {
          food_id: line.food_id, text: line.text, aisle: line.aisle.empty? ? "Other" : line.aisle,
          amount: line.amount && @work.amount(Core::Quantity.new(line.amount, line.dimension.to_sym)),
          packs: line.packs.map { |pack| pack(pack) }, reasons: line.reasons, cost_minor: line.cost_minor,
          estimated: line.estimated, at_home: line.food_id ? @home.of(line.food_id) : [], by: nil,
          in_shop: line.food_id && in_shop(line.food_id)
        }
      end

      # What the shop says of it today, where it says anything.
      def in_shop(food_id)
        key = @list.plan.shelf.food_ids.key(food_id)
        shelf = @list.shop_shelf
        return if shelf.of(key).empty?

        { out: shelf.out?(key), offers: shelf.offers(key, @list.weekly_of(key)).map { |one| offer(one) } }
      end

      def offer(one)
        {
          kind: one.kind, count: one.count, size: @work.size(one.quantity), price_minor: one.price_minor,
          worth: one.worth?, all: one.eaten >= one.grams, eaten: grams(one.eaten), of: grams(one.grams),
          kilo_minor: one.kilo_minor, single_minor: one.single_minor
        }
      end

      def grams(amount) = @work.amount(Core::Quantity.new(amount.round.to_r, :mass))

      def pack(pack)
        size = Core::Quantity.new(pack["amount"].to_r, pack["dimension"].to_sym)
        shop = @shops.find { |one| one.id == pack["shop_id"] }
        {
          count: pack["count"], size: @work.size(size), price_minor: pack["price_minor"], basis: pack["basis"],
          on: pack["on"], shop: shop&.name, before_minor: pack["before_minor"]
        }
      end

      # From so much more on it is worth a sentence.
      WORTH_SAYING = Rational(5, 4)
      private_constant :WORTH_SAYING

      # More than anybody will eat while it is good, as far as somebody knows how fast it goes.
      def too_much(line, gets)
        bought = gets.sum(0r) { |get| get.bought.amount }
        eaten = [line.eaten || bought, gets.sum(0r, &:grams)].max
        return if !line.weighed || bought <= eaten * WORTH_SAYING || !eaten.positive?

        cost = gets.sum { |get| get.bought.price_minor }
        {
          eaten: @written.words(line, eaten), of: @written.words(line, bought),
          per_kg_minor: (cost * 1000 / eaten).round, shelf_minor: (cost * 1000 / bought).round
        }
      end

      def by_aisle(items)
        groups = items.group_by { |item| item[:aisle] }
        Core::AisleOrder.sorted(groups.keys, @shop&.aisles || []).map do |aisle|
          { aisle: aisle, items: groups.fetch(aisle).sort_by { |item| [item[:text], item[:ref].to_s] } }
        end
      end

      # Fresh food of the trips after this one, and what runs out until then.
      def later
        pairs = @list.lines.flat_map { |line| @written.later(line).map { |get| [get, line] } }
        pairs.group_by { |get, _| get.on }.sort.map do |on, list|
          { on: on.iso8601, items: list.map { |get, line| { aisle: line.food.aisle, **brief(line, get) } } }
        end
      end

      def brief(line, get)
        written = @written.of(line, [get])
        words(written).slice(:food_id, :text, :amount, :packs, :cost_minor, :estimated, :reasons)
      end

      def not_sold
        @list.not_sold.map do |key, meals|
          named = meals.map { |meal| { meal_id: meal.id, on: meal.on.iso8601, name: @list.plan.name_of(meal) } }
          { food: @list.plan.shelf.foods.fetch(key).name, meals: named }
        end
      end

      def silent(line)
        {
          food_id: line.food_id, food: line.food.name, until: line.want.silent_until.iso8601,
          because: line.want.silent_because, reasons: @written.of(line, line.gets).reasons
        }
      end

      # Ticked as things run out.
      def standing
        wants = @work.house.shopping.wants.values.select(&:standing)
        wants.map { |want| { food_id: want.food_id, food: @work.food(want.food_id).name } }.sort_by { |one| one[:food] }
      end
    end
  end
end
