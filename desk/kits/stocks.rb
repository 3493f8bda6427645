# frozen_string_literal: true

require_relative "../../core/kits/supply_stack"
require_relative "../../core/kits/warm_box"
require_relative "../../core/value"
require_relative "../situation"
require_relative "../stood_since"

module NutShelf
  module Desk
    module Kits
      # The household's stacks as kits look at them: whole packs, the dates they reach, where they stand, and how much
      # of each belongs to which kit (it stands in one of its boxes, or is set apart for it).
      class Stocks
        # A stack: as the shelf has it, as kits have it, packs that are free (not set apart for anything). Frozen.
        Stock = Core::Value.of(:stack, :supply, :free)

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
          work.every_food
        end

        # @return [Array<Stock>] of everything that is weighed
        def all = @all ||= weighed.map { |stack| known(stack) }.freeze

        # @param kit_id [Integer]
        # @return [Array<Stock>] what belongs to the kit, so many packs of it
        def of(kit_id)
          weighed.select { |stack| boxed?(stack, kit_id) || kept.dig(kit_id, stack.id) }.filter_map do |stack|
            stock = known(stack)
            packs = packs_of(stock, kit_id)
            stock.with(supply: stock.supply.of(packs)) if packs.positive?
          end
        end

        # @return [Array<Stock>] what nothing is kept for, so many packs as are free
        def free = all.filter_map { |stock| stock.with(supply: stock.supply.of(stock.free)) if stock.free.positive? }

        # @param key [String] of a food
        # @return [Integer] the household's id of it
        def food_id(key) = @work.shelf.food_ids.fetch(key)

        # @param work [UnitOfWork]
        # @param place_id [Integer, nil] of a box
        # @return [Integer] packs that stand in it, whatever they count for
        def self.packs_in(work, place_id)
          return 0 unless place_id

          work.shelf.stacks.each_value.select { |stack| stack.place_id == place_id }
            .sum { |stack| (stack.on_hand / unit(stack)).floor }
        end

        # @param stack [Core::Stack]
        # @return [Rational] one pack, in the stack's own units
        def self.unit(stack)
          return [stack.pack_amount, stack.on_hand].min if stack.pack_amount

          stack.dimension.to_s == "count" ? 1r : stack.on_hand
        end

        private

        def weighed = @weighed ||= @work.shelf.stacks.each_value.select(&:weighed?)

        # Each is made once, and only if somebody asks for it.
        def known(stack) = (@known ||= {})[stack.id] ||= stock(stack)

        def boxed?(stack, kit_id) = @work.place(stack.place_id).kit_id == kit_id

        def packs_of(stock, kit_id)
          stack = stock.stack
          return stock.supply.packs if boxed?(stack, kit_id)

          ((kept.dig(kit_id, stack.id) || 0r) / self.class.unit(stack)).floor
        end

        # What each kit has of each stack, in its own units, and never more than is there: hands may take what is set
        # apart, and who set apart first is served first then.
        # SQL: see Store::Reservations#all
        def kept
          @kept ||= begin
            left = Hash.new { |all, id| all[id] = @work.shelf.stacks[id]&.on_hand || 0r }
            held = @work.house.reservations.all(@work.today).sort_by(&:id)
            held.each_with_object(Hash.new { |all, id| all[id] = Hash.new(0r) }) do |row, kits|
              there = [row.amount, left[row.lot_id]].min
              left[row.lot_id] -= there
              kits[row.kit_id][row.lot_id] += there
            end.tap { |kits| kits.default = nil }
          end
        end

        def stock(stack)
          unit = self.class.unit(stack)
          place = @work.place(stack.place_id)
          supply = Core::Kits::SupplyStack.new(
            id: stack.id, food: @work.food(stack.food_id), packs: (stack.on_hand / unit).floor, pack: pack(stack, unit),
            usable_until: good_until(stack, place), opening: stack.opening, wrapping: stack.wrapping,
            place: place.kind,
            place_low_c: place.low_c, open: stack.open, state: state(stack),
            situation: Situation.of(stack, @work.food(stack.food_id), place.kind),
            reserved_elsewhere: false
          )
          Stock.new(stack: stack, supply: supply, free: (stack.free / unit).floor)
        end

        # In a box that gets warm a day counts more than once, those so far and those to come.
        def good_until(stack, place)
          last = stack.until_on(strict: strict?)
          return last if last.nil? || place.kit_id.nil? || Core::Kits::WarmBox.factor(place.high_c) == 1

          so_far = Core::Kits::WarmBox
            .so_far(last, since: boxed_since(stack, place), today: @work.today, high_c: place.high_c)
          Core::Kits::WarmBox.inside(so_far, from: @work.today, high_c: place.high_c)
        end

        def boxed_since(stack, place) = StoodSince.day(stories.fetch(stack.id), place.id) || @work.today

        # Of all that stands in boxes, asked for at once.
        def stories
          @stories ||= begin
            boxed = @work.shelf.stacks.each_value.select { |stack| @work.place(stack.place_id).kit_id }
            @work.house.lots.every(boxed.map(&:id)).to_h { |lot| [lot.id, lot] }
          end
        end

        # Somebody who goes by the date eats from it too.
        def strict?
          return @strict unless @strict.nil?

          @strict = @work.policy.by_the_date? || @work.strict_eaters?
        end

        # What nobody weighs by the piece is told by what its pack weighs.
        def pack(stack, unit)
          dimension = stack.dimension.to_sym
          counted = dimension == :count && stack.noun.nil?
          return Core::Quantity.new(unit, dimension) if counted || dimension == :volume

          Core::Quantity.new(unit * stack.grams_per_unit, :mass)
        end

        def state(stack)
          return :stop if stack.quarantined || stack.stopped || stack.age_unknown || stack.past_safety?(@work.today)
          return :look if stack.look_first

          last = stack.until_on(strict: strict?)
          last && last < @work.today ? :look : :good
        end
      end
    end
  end
end
