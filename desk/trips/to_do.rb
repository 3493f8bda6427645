# frozen_string_literal: true

require_relative "../../core/quantity/hand_words"
require_relative "../../core/value"
require_relative "../preserving/home_made"
require_relative "packing_list"

module NutShelf
  module Desk
    module Trips
      # What has to be done for a trip, and on which day: `kind` "dry" (a batch to begin), "thaw" (out of the freezer,
      # into the fridge), "fill" (bags), "pack", "soak" (the evening before a meal). `late`: that day has passed.
      # Frozen.
      Doing = Core::Value.of(:kind, :on, :words, late: false)

      # What comes before a trip and before its meals, day by day.
      class ToDo
        # Pulses that soak for less can go in on the day.
        OVERNIGHT = 6

        # @param work [UnitOfWork]
        # @param book [TripBook]
        def initialize(work, book)
          @work = work
          @book = book
          @list = PackingList.new(work, book)
        end

        # @return [Array<Doing>] first day first; none once everybody is back
        def all
          return [] if @book.trip.status == "home"

          [*batches, *before, *soaks].sort_by { |one| [one.on, KINDS.index(one.kind), one.words] }
        end

        KINDS = %w[dry thaw fill pack soak].freeze

        # What the house dries itself that is not there yet, with the last day to begin.
        # @return [Array<Doing>]
        def batches
          @batches ||= @book.balance.shorts.filter_map { |short| batch(short) }
        end

        private

        def packed_on = @book.trip.leaves_on - 1

        def batch(short)
          drying = made.drying(short.food) or return
          open = short.grams - made.under_way(drying)
          return unless open.positive?

          cheap = made.cheap_now?(drying) ? "; it is cheap now" : ""
          doing("dry", made.start_on(drying, open, packed_on),
            "Begin to dry #{size(made.raw_g(drying, open))} of #{drying.name.downcase}: gives #{size(open)}#{cheap}")
        end

        def made = @made ||= Preserving::HomeMade.new(@work)

        def before
          return [] unless @book.trip.status == "planned"

          [*thaws, *fills, doing("pack", packed_on, "Pack for #{@book.trip.name}")]
        end

        # It takes the night before packing in the fridge, and does not go back into the freezer.
        def thaws
          takes = [*@list.foods.flat_map(&:takes), *@list.bags.flat_map(&:takes)].select { |one| one.stack.in_freezer }
          takes.map do |one|
            name = one.stack.name(@work.food(one.stack.food_id))
            part = @work.loose_words(one.stack, one.amount)
            doing("thaw", packed_on - 1, "#{part} #{name}: from #{one.stack.place} into the fridge")
          end
        end

        def fills
          @list.bags.select { |one| one.to_fill.positive? }.map do |one|
            doing("fill", packed_on, "Fill #{one.to_fill} x #{one.assembly.name}")
          end
        end

        def soaks
          cells = @book.entries.filter_map(&:cell)
          [*cells.select(&:soaked).map { |cell| soaked_bag(cell) }, *cells.flat_map { |cell| pulses(cell) }]
        end

        def soaked_bag(cell)
          doing("soak", cell.day - 1, "In the evening: cold water on #{cell.bags} x #{cell.assembly.name}, " \
                                      "for #{cell.meal} the next day; keep it cold")
        end

        def pulses(cell)
          return [] if cell.bag? || cell.leftover?

          cell.foods(@book.catalog).filter_map do |food, grams|
            hours = food.preparing&.soak_hours
            next unless hours && hours >= OVERNIGHT

            doing("soak", cell.day - 1, "In the evening: soak #{size(grams)} of #{food.name}, #{hours.to_i} hours")
          end
        end

        def doing(kind, on, words)
          Doing.new(kind: kind, on: [on, @work.today].max, words: words, late: on < @work.today)
        end

        def size(grams) = @work.size(Core::Quantity.new(grams.ceil.to_r, :mass))
      end
    end
  end
end
