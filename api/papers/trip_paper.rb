# frozen_string_literal: true

require_relative "../../core/dating/words"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/trips/load_out"
require_relative "../../desk/trips/packing_list"
require_relative "../../desk/trips/to_do"
require_relative "../../desk/trips/trip_book"
require_relative "../../exchange/papers/paper"

module NutShelf
  module Api
    module Papers
      # A trip on paper: its meals by day, what is done when, the bags, and the packing list to be ticked by hand.
      class TripPaper
        MEALS = Desk::Trips::Route::MEALS
        BOX = "[ ]"

        # @param work [Desk::UnitOfWork]
        # @param trip [Store::Rows::Trip]
        def initialize(work, trip)
          @work = work
          @trip = trip
          @book = Desk::Trips::TripBook.new(work, trip)
          @list = Desk::Trips::PackingList.new(work, @book)
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: @trip.name, subtitle: subtitle, back: "/trips/#{@trip.id}",
            parts: [grid, doings, carried, packing, things].compact
          )
        end

        private

        def subtitle
          "#{day(@trip.leaves_on)} to #{day(@trip.back_on)}: #{@book.party.travellers.map(&:name).join(", ")}"
        end

        def grid
          Exchange::Papers::Table.new(
            heading: "Meals", columns: ["", *MEALS.map(&:capitalize)], shares: [3, 4, 4, 4, 4],
            rows: @book.route.dates.map { |date| [day(date), *MEALS.map { |meal| dishes(date, meal) }] }
          )
        end

        def dishes(date, meal)
          here = @book.entries.select { |one| one.row.on_date == date && one.row.meal == meal && one.choice }
          here.map { |one| [name(one), grams(one), ("soaked" if one.row.soaked)].compact.join(", ") }.join("\n")
        end

        def name(entry)
          name = @book.menu.name(entry.choice)
          entry.row.kind == "leftover" ? "the rest of #{name}" : name
        end

        def grams(entry) = entry.row.grams && "#{size(entry.row.grams)} each"

        def doings
          items = Desk::Trips::ToDo.new(@work, @book).all.map { |one| "#{BOX} #{day(one.on)}: #{one.words}" }
          lines("Day by day", items)
        end

        def carried
          items = Desk::Trips::LoadOut.new(@book).bags.map do |bag|
            "#{bag.days.map { |one| day(one) }.join(", ")}: #{size(bag.grams)} in #{bag.carrier.name.downcase}"
          end
          lines("Bags", items)
        end

        def packing
          rows = [*@list.bags.map { |one| bag(one) }, *@list.foods.map { |one| food(one) }]
          return if rows.empty?

          Exchange::Papers::Table.new(
            heading: "To pack", columns: ["", "What", "How much", "From"], shares: [1, 5, 3, 8], rows: rows
          )
        end

        def bag(one)
          fill = one.to_fill.positive? ? ["#{one.to_fill} to fill first"] : []
          [BOX, one.assembly.name, "#{one.need} bags", [*from(one.takes), *fill].join("\n")]
        end

        def food(one)
          short = one.short_g.positive? ? ["#{size(one.short_g)} to get first"] : []
          [BOX, one.food.name, size(one.need_g), [*from(one.takes), *short].join("\n")]
        end

        def from(takes)
          takes.map do |take|
            until_on = take.stack.usable_until && ", until #{day(take.stack.usable_until)}"
            "#{@work.loose_words(take.stack, take.amount)}, #{take.stack.place}#{until_on}"
          end
        end

        def things
          lines("Besides food", @list.essentials.map do |one|
            "#{BOX} #{one.item}#{" for each" if one.per == "person"}"
          end)
        end

        def lines(heading, items) = (Exchange::Papers::Lines.new(heading: heading, items: items) if items.any?)

        def day(date) = Core::Words.day(date)

        def size(grams) = @work.size(Core::Quantity.new(grams.round.to_r, :mass))
      end
    end
  end
end
