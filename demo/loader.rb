# frozen_string_literal: true

require "json"
require_relative "../api/passwords"
require_relative "calendar"
require_relative "camping"
require_relative "coming_week"
require_relative "draft_input"
require_relative "feasts"
require_relative "harvest"
require_relative "household"
require_relative "routine"
require_relative "shelf_work"
require_relative "shopping"
require_relative "../boot/wiring"
require_relative "../core/looking_back/compost"
require_relative "../store/accounts"
require_relative "../desk/household_maker"
require_relative "../desk/household_lexicon"
Dir[File.expand_path("../desk/{acts,commands}/*.rb", __dir__)].each do |file|
  require_relative "../desk/#{File.basename(File.dirname(file))}/#{File.basename(file, ".rb")}"
end
require_relative "../api/views/draft_view"
require_relative "../desk/plan"

module NutShelf
  module Demo
    # Lives ten weeks at Sallow House, act by act; no amount is ever set by hand.
    class Loader
      FIRST = Date.new(2026, 9, 15)
      STOCK = File.join(__dir__, "stock.txt")
      PLACES = File.join(__dir__, "places.json")
      UNFINISHED = "%s@unfinished.example"

      # @param services [Desk::Services]
      def initialize(services)
        @calendar = Calendar.new
        @calendar.day = FIRST
        @services = Desk::Services.new(**services.to_h, clock: @calendar)
        @keys = 0
      end

      # @return [Integer] household id; nil when the demo is there already
      def load
        return if made?

        make_household
        (FIRST..Household::TODAY).each { |day| live(day) }
        levels
        coming_week.plan
        Feasts.new(act: method(:act_named), within: method(:within)).write_down
        Shopping.new(act: method(:act_named), within: method(:within)).write_down
        Camping.new(act: method(:act_named), within: method(:within)).plan
        open_doors
        @household_id
      end

      # @return [Boolean] whether all ten weeks are lived
      def made? = account?(Household::KEEPER)

      # @return [Boolean] whether somebody stopped in the middle: the database is to be made anew
      def half_made? = account?(UNFINISHED % "ines")

      private

      # Nobody can sign in before the ten weeks are lived, so that a demo stopped half way is never taken for a whole
      # one.
      def open_doors
        @services.database.outside do |db|
          Household::ACCOUNTS.each_key do |key|
            Store::Accounts.change_email(db, from: UNFINISHED % key, to: "#{key}@sallow.example")
          end
        end
      end

      def account?(email) = @services.database.outside { |db| !Store::Accounts.by_email(db, email).nil? }

      def make_household
        hash = Api::Passwords.hash(Household::PASSWORD)
        @accounts =
          @services.database.outside do |db|
            Household::ACCOUNTS.to_h do |key, (name, _)|
              [key, Store::Accounts.add(db, email: UNFINISHED % key, name: name, password_hash: hash)]
            end
          end
        places = JSON.parse(File.read(PLACES)).map { |place| place.transform_keys(&:to_sym) }
        @household_id =
          Desk::HouseholdMaker.new(@services).make(
            @accounts.fetch("ines"),
            { name: Household::NAME, time_zone: "Europe/Dublin", currency: "EUR", day_order: "dmy" },
            places: places
          )
        @services.database.outside do |db|
          Household::ACCOUNTS.except("ines").each do |key, (_, role)|
            Store::Households.join(db, account_id: @accounts.fetch(key), household_id: @household_id, role: role)
          end
        end
        within { |house| furnish(house) }
      end

      def furnish(house)
        Household::PEOPLE.each do |person|
          house.records.add("person", { **person, portion_factor: person[:portion_factor].to_r, age_on: FIRST })
        end
        Household::NICKNAMES.each { |key, names| house.foods.nickname(key, names) }
      end

      def shelf_work
        @shelf_work ||=
          ShelfWork.new(
            act: ->(name, who, input) { act(Desk.const_get(name), who, input) },
            front: method(:front),
            standing: ->(place_id) { at_work { |work| work.stacks_in([place_id]) } },
            within: method(:within), at_work: method(:at_work)
          )
      end

      def harvest
        @harvest ||=
          Harvest.new(act: method(:act_named), within: method(:within))
      end

      def within = @services.database.within(@household_id) { |db| yield Store::House.new(db, @household_id) }

      def live(day)
        @calendar.day = day
        stock.fetch(day.iso8601, []).each { |who, line| put_away(who, line) }
        Routine::WEEKLY.each { |line| put_away("ines", line) } if day.saturday? && day < Household::TODAY - 6
        daily(day)
        cook(day)
        clear_out if day.sunday? && day < Routine::CLEAR_OUT_UNTIL
        Routine::ON_DAYS.fetch(day.iso8601, []).each { |kind, *rest| public_send_act(kind, rest) }
        shelf_work.on(day)
        harvest.on(day)
      end

      def stock
        @stock ||=
          File
            .readlines(STOCK, chomp: true)
            .reject { |row| row.start_with?("#") }
            .map { |row| row.split(" | ") }
            .group_by(&:first)
            .transform_values { |rows| rows.map { |_, who, line| [who, line] } }
      end

      def put_away(who, line)
        draft = at_work(who) { |work| Api::DraftView.new(work).call(line) }
        if draft[:questions].any? || draft[:unread].any? || draft[:food].nil? || draft[:place].nil?
          raise "The demo's line was not understood: #{line}: #{draft.slice(:questions, :unread, :food, :place)}"
        end

        act(Desk::PutAway, who, DraftInput.of(draft))
      end

      def daily(day)
        Routine::DAILY.each do |key, amount, people, days|
          next unless days.include?(day.wday)

          who = people[day.yday % people.size]
          take(key, amount, who)
        end
      end

      # Takes from the front of the shelf, as far as there is any.
      def take(key, amount, who)
        lot = front(key) or return
        act(Desk::Take, who, { lot_id: lot.id, amount: at_most(lot, amount) })
      end

      # Nobody takes more than is there.
      def at_most(lot, amount) = Core::Decimal.print([amount.to_r, lot.on_hand].min)

      # The stack at the front of one food ("beef-mince", or "beef-mince@freezer" for the frozen one).
      def front(key)
        key, place = key.split("@")
        on_shelf
          .select do |stack|
            (stack.food_key == key || stack.label == key) && (place.nil? || (place == "freezer") == stack.in_freezer) &&
              usable?(stack)
          end
          .min_by { |stack| [stack.open ? 0 : 1, Core::Order.day(stack.usable_until), stack.id] }
      end

      # What a cook reaches for: not what stands in a box of a kit.
      def on_shelf
        at_work { |work| work.shelf.stacks.values.reject { |stack| work.place(stack.place_id).set_apart? } }
      end

      # Looks only, so that what was worked out for one look is there for the next.
      def at_work(who = "tomas")
        @services.database.still(@household_id) do |db|
          yield Desk::UnitOfWork.new(@services, caller(who), db, still: true)
        end
      end

      def usable?(row) = !row.stopped && (row.safety_until.nil? || row.safety_until >= @calendar.day)

      def public_send_act(kind, rest)
        key, *more = rest
        lot = front(key) or return
        case kind
        when "take"
          act(Desk::Take, more[1], { lot_id: lot.id, amount: at_most(lot, more[0]) })
        when "open"
          lot.open || act(Desk::Open, more[0], { lot_id: lot.id })
        when "look"
          act(Desk::Look, more[1], { lot_id: lot.id, result: more[0] })
        when "throw"
          act(Desk::Throw, more[3], { lot_id: lot.id, amount: at_most(lot, more[0]), outcome: more[1], why: more[2] })
        when "move"
          amount = more[2] && at_most(lot, more[2])
          act(Desk::Move, more[1], { lot_id: lot.id, place_id: place(more[0]), amount: amount }.compact)
        end
      end

      def place(name) = within { |house| house.places.all.find { |row| row.name == name }.id }

      # Cooks, on the days of DINNERS, the dinner that rescues most of what is there.
      def cook(day)
        _, leftovers = Routine::DINNERS.find { |on, _| on == day.iso8601 }
        return unless leftovers

        @cooked ||= []
        recipe = best(day, "dinner").find { |entry| !@cooked.last(6).include?(entry.id) } or return
        @cooked << recipe.id
        planned = act(Desk::PlanMeal, "tomas", { recipe_id: recipe.id, on: day.iso8601 })
        kept = leftovers.positive? ? { leftovers: { portions: leftovers.to_s, place_id: place("Chest freezer") } } : {}
        act(Desk::Cook, "tomas", { meal_id: planned["meal_id"], **kept })
      end

      def best(day, meal)
        at_work do |work|
          Desk::Plan
            .new(work)
            .ranked(day)
            .reject { |entry| entry.dish.shut? }
            .select { |entry| entry.dish.recipe.meal == meal && entry.dish.covered > Rational(3, 5) }
        end
      end

      def clear_out
        on_shelf.each do |row|
          food = @services.catalog.foods[row.food_key]
          fresh = food&.aisle.to_s.start_with?("Fresh") && row.usable_until && row.usable_until < @calendar.day
          next unless fresh || !usable?(row)

          act(
            Desk::Throw,
            "ines",
            { lot_id: row.id, outcome: fresh && Core::Compost.fits?(food) ? "composted" : "binned",
              why: row.open ? "forgotten" : "turned" }
          )
        end
      end

      def levels
        Routine::LEVELS.each do |key, level|
          lot = front(key)
          act(Desk::SetLevel, "ines", { lot_id: lot.id, level: level }) if lot
        end
      end

      def coming_week
        ComingWeek.new(act: method(:act_named), best: method(:best), at_work: method(:at_work), within: method(:within))
      end

      def act_named(name, who, input) = act(Desk.const_get(name), who, input)

      def caller(who)
        Desk::Caller.new(
          account_id: @accounts.fetch(who),
          household_id: @household_id,
          role: Household::ACCOUNTS.fetch(who).last
        )
      end

      def act(klass, who, input)
        klass.new(@services, caller(who)).call(input, key: "demo-#{@keys += 1}-#{klass.name.split("::").last}")
      end
    end
  end
end
