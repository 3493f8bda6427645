# frozen_string_literal: true

require_relative "../../core/kits/supplies_needed"
require_relative "../../core/value"

module NutShelf
  module Desk
    module Kits
      # What is no food in a kit: how much of each thing is needed, there, on the list, and missing.
      class SupplyBook
        # `need` of Core::Kits::SuppliesNeeded; pieces or millilitres there, waiting on the list, and missing. Frozen.
        Row = Core::Value.of(:need, :have, :coming) do
          # @return [Integer]
          def gap = [need.amount - have - coming, 0].max

          # @return [String]
          def key = need.supply.food_key
        end

        # @param work [UnitOfWork]
        # @param book [KitBook]
        def initialize(work, book)
          @work = work
          @book = book
        end

        # @return [Array<Row>]
        def rows
          @rows ||= needed.map { |need| row(need) }.freeze
        end

        # @return [Array<Row>] what is missing
        def missing = rows.select { |row| row.gap.positive? }

        private

        def row(need)
          key = need.supply.food_key
          Row.new(need: need, have: have(key).floor, coming: coming.fetch(key, 0r).floor)
        end

        def needed
          home = @book.counted.select { |one| one.stock.supply.food.key == "tap-water" }
            .sum(0r) { |one| one.given.water_l }
          Core::Kits::SuppliesNeeded.new(
            @work.catalog.kits.supplies, level: kit.level.to_sym, people: @book.who.people.size, days: kit.days,
            canisters: @book.checks.canisters || 0, home_filled_l: home, of_use: of_use(home)
          ).call
        end

        def kit = @book.kit

        def of_use(home)
          {
            "tin_opener" => @book.counted.any? { |one| one.given.needs_opener? },
            "burner" => kit.no_power && %w[kettle burner].include?(kit.gear), "no_water" => kit.no_water,
            "home_filled" => home.positive?
          }.select { |_, holds| holds }.keys
        end

        # Pieces or millilitres of it that belong to the kit.
        def have(key)
          @work.shelf.stacks.each_value.select { |stack| stack.food_key == key }.sum(0r) { |stack| kept(stack) }
        end

        # Of a stack, what stands in a box of the kit or is set apart for it.
        def kept(stack)
          return stack.on_hand if @book.deep_pantry? || @work.place(stack.place_id).kit_id == kit.id

          set_apart.fetch(stack.id, []).sum(0r, &:amount)
        end

        def set_apart
          @set_apart ||= @work.house.reservations.all(@work.today).select { |row| row.kit_id == kit.id }
            .group_by(&:lot_id)
        end

        def coming
          @coming ||= @work.house.shopping.waiting.select { |line| line.food_id && for_this?(line) }
            .group_by { |line| @work.food(line.food_id).key }
            .transform_values { |lines| lines.sum(0r) { |line| line.amount || 0 } }
        end

        def for_this?(line) = line.reasons.any? { |one| one["kind"] == "kit" && one["kit_id"] == kit.id }
      end
    end
  end
end
