# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/trips/load_out"
require_relative "../../desk/trips/to_do"
require_relative "../../desk/trips/trip_book"

module NutShelf
  module Api
    # A trip as JSON: its grid with what stands against each meal, and the balance.
    class TripView
      FACTS = %i[
        id version name status leaves_hour first_meal last_meal gear pots pot_ml cold high_c no_tins no_glass sources
        containers_ml spare_days canister_g gas_left_g shops carried_by
      ].freeze

      # @param work [Desk::UnitOfWork]
      # @param trip [Store::Rows::Trip]
      def initialize(work, trip)
        @work = work
        @trip = trip
        @book = Desk::Trips::TripBook.new(work, trip)
      end

      # @return [Hash]
      def call
        {
          trip: trip, days: days, people: @book.party.travellers.map(&:name), foods: foods, balance: balance,
          shorts: shorts, tasks: tasks, **carried
        }
      end

      private

      # Bags by day, and the way from shop to shop.
      def carried
        load_out = Desk::Trips::LoadOut.new(@book)
        {
          bags: load_out.bags.map do |bag|
            { days: bag.days.map(&:iso8601), carrier: bag.carrier.name, weight: size(bag.grams), full: bag.full }
          end,
          legs: load_out.legs.map do |leg|
            { from: leg.from.iso8601, to: leg.to.iso8601, weight: size(leg.grams) }
          end
        }
      end

      def tasks
        Desk::Trips::ToDo.new(@work, @book).all.map { |one| { **one.to_h, on: one.on.iso8601 } }
      end

      def trip
        {
          **@trip.slice(*FACTS), leaves_on: @trip.leaves_on.iso8601, back_on: @trip.back_on.iso8601,
                                 people: @trip.people.map { |one| one.slice("person_id", "figure") },
                                 temps: Desk::Trips::Route::MEALS.to_h { |meal| [meal, @book.route.temp(meal).to_i] },
                                 cold_until: @trip.cold == "none" ? nil : @book.cold.until_at.strftime("%Y-%m-%dT%H:%M")
        }
      end

      # What is eaten as it comes out of its pack.
      def foods
        @work.shelf.keys.select { |key| @work.shelf.foods.fetch(key).ready_to_eat }
          .map { |key| { food_id: @work.shelf.food_ids.fetch(key), key: key } }
      end

      def days
        sums = @book.balance.days
        @book.route.dates.zip(sums).map do |date, sum|
          facts = @book.route.day(date)
          {
            on: date.iso8601, effort: facts["effort"], hours: facts["hours"].to_s, hot: facts["hot"] == true,
            kcal: sum.kcal.round, wants: sum.target.kcal.round, percent: percent(sum),
            protein_g: sum.protein_g.round, wants_protein_g: sum.target.protein_g&.round, weight: size(sum.grams),
            meals: @book.route.meals(date).map { |meal| { meal: meal, dishes: dishes(date, meal) } }
          }
        end
      end

      def percent(sum) = sum.target.kcal.zero? ? 100 : (100 * sum.kcal / sum.target.kcal).round

      def dishes(date, meal)
        here = @book.entries.select { |one| one.row.on_date == date && one.row.meal == meal }
        here.map do |one|
          {
            id: one.row.id, kind: one.row.kind, key: one.row.dish, pinned: one.row.pinned,
            name: name(one), gone: one.choice.nil?, soaked: one.row.soaked,
            stands: one.cell&.bag? ? one.cell.assembly.stand_minutes.to_i : 0,
            grams: one.row.grams && size(one.row.grams), kcal: one.cell ? @book.kcal(one.cell).round : 0,
            faults: one.faults.map { |fault| { kind: fault.kind.to_s, words: @book.fault_words(fault) } }
          }
        end
      end

      def name(entry)
        return entry.row.dish unless entry.choice

        name = @book.menu.name(entry.choice)
        entry.row.kind == "leftover" ? "The rest of #{name}" : name
      end

      def balance
        weighed = @book.balance.weighed
        person_days = @book.balance.person_days
        {
          food: size(weighed.net_g), packing: size(weighed.tare_g), carried_out: size(weighed.rubbish_g),
          kcal_per_g: Core::Decimal.print(weighed.kcal_per_g.round(2)),
          per_person_day: person_days.zero? ? nil : size(weighed.net_g / person_days),
          person_days: Core::Decimal.print(person_days), fuel: fuel, water: water
        }
      end

      def fuel
        plan = @book.balance.fuel or return
        {
          need: size(plan.need_g), with_spare: size(plan.with_spare_g), canisters: plan.canisters, cold: plan.cold,
          meals: plan.per_meal_g.size, own: !Desk::Trips::Lessons.new(@work).g_per_litre.nil?
        }
      end

      def water
        {
          stretches: @book.balance.water.map do |one|
            { from: one.from, need_l: litres(one.need_l), carry_l: Core::Decimal.print(one.carry_l.ceil(1)) }
          end,
          holds: containers? ? @book.balance.holds? : nil, two_containers: @book.balance.two_containers?
        }
      end

      def containers? = @book.balance.containers.any?

      def shorts
        @book.balance.shorts.map do |one|
          { food_id: @work.shelf.food_ids[one.food.key], name: one.food.name, amount: size(one.grams),
            on: one.on&.iso8601 }
        end.sort_by { |one| one[:name] }
      end

      def litres(amount) = Core::Decimal.print(amount.round(2))

      def size(grams) = @work.size(Core::Quantity.new(grams.round.to_r, :mass))
    end
  end
end
