# frozen_string_literal: true

require_relative "../../core/portioning/bench"
require_relative "../../core/portioning/freezer_jars"
require_relative "../poured"
require_relative "../refusal"
require_relative "../taking"
require_relative "weighed"

module NutShelf
  module Desk
    module Bench
      # What each portion gets besides, of other stacks: so many grams, or its part of a pack.
      class Additions
        # @return [Array<Array(Store::Rows::Lot, Core::Portioning::Addition)>]
        attr_reader :list

        # @param work [UnitOfWork]
        # @param asked [Array<Hash>, nil] [{ lot_id:, each_g: or per_pack: portions one pack is for }]
        # @param weighed [Weighed] that knows their stacks
        # @param taken [Array<Integer>] stacks the portions are made of
        # @param pet [Boolean] whether an animal eats them
        # @raise [Invalid, Conflict]
        def initialize(work, asked, weighed: nil, taken: [], pet: false)
          @work = work
          asked ||= []
          @weighed = weighed || Weighed.new(work, asked.map { |one| one[:lot_id] }, pet: pet)
          @taken = taken
          @list = asked.each_with_index.map { |one, at| addition(one, "/additions/#{at}/lot_id") }
          refuse_doubled
        end

        # @return [Array<Core::Portioning::Addition>] as estimated, or with what was really given up once drawn
        def sums = @drawn || list.map(&:last)

        # @return [Array<Core::Food>]
        def foods = list.map { |_, one| one.food }.uniq

        # @return [Array<Store::Rows::Lot>]
        def lots = list.map(&:first)

        # @return [Boolean]
        def any? = list.any?

        # @param count [Integer] portions
        # @return [Hash{Integer=>Rational}] what leaves each stack, in its own units
        def leaving(count) = list.to_h { |lot, one| [lot.id, @weighed.units(lot, one.taken(count))] }

        # Takes it from the stacks, pack by pack.
        # @param entry [Entry]
        # @param count [Integer] portions
        # @return [Array<Core::Portioning::Addition>] with what it was really worth
        def draw(entry, count)
          taking = Taking.new(@work, entry)
          @drawn = list.map do |lot, one|
            taken = one.taken(count)
            one.with(on_hand_g: taken, value_minor: taking.take(lot, @weighed.units(lot, taken), "cooked"))
          end
        end

        # @return [Array<Array(Store::Rows::Lot, Rational)>] what went in, in the units of each stack
        def went_in = list.zip(sums).map { |(lot, _), one| [lot, @weighed.units(lot, one.on_hand_g)] }

        # @param moves [Array<Hash>] events: where the portions are made, where they go then
        # @return [Array<Hash>] events of a portion: each part with the date it has, opened where portions are made
        def poured(moves)
          lots.map do |lot|
            opening = @weighed.opened?(lot) ? [] : [@work.happening("opened")]
            history = [*lot.history, *moves.first(1), *opening, *moves.drop(1)]
            Poured.event(@work, @weighed.part(lot.with(history: history)), lot.id)
          end
        end

        # @raise [Conflict] without a figure for the freezer nobody could say until when
        def refuse_unfrozen
          foods.each { |food| Additions.refuse_unfrozen(@work, food) }
        end

        # @param work [UnitOfWork]
        # @param food [Core::Food]
        # @raise [Conflict]
        def self.refuse_unfrozen(work, food)
          return if work.catalog.keeping(food, "frozen_at_home", "freezer").row?

          raise Refusal.of(:does_not_freeze, at: "/frozen_place_id", food: food.name)
        end

        # @param foods [Array<Core::Food>] all that an animal would eat
        # @raise [Conflict]
        def self.refuse_poison(foods)
          never = Core::Portioning::PetSafe.never(foods)
          raise Refusal.of(:poison_for_pets, food: never.first.name) if never.any?
        end

        private

        def addition(asked, pointer)
          lot = @weighed.fit(asked[:lot_id], pointer)
          refuse_twice(lot)
          one = Core::Portioning::Addition.new(
            food: @weighed.food(lot), each_g: each(asked, lot, pointer), on_hand_g: @weighed.free_g(lot),
            value_minor: @weighed.free_value(lot)
          )
          [lot, one]
        end

        def each(asked, lot, pointer)
          raise Refusal.of(:addition_by_what, at: pointer) unless asked[:each_g].nil? ^ asked[:per_pack].nil?
          return asked[:each_g].to_r if asked[:each_g]

          @weighed.pack_g(lot) / asked[:per_pack]
        end

        # What a portion is made of is not added once more: two hands would open one pack.
        def refuse_twice(lot)
          raise Refusal.of(:added_twice, food: @weighed.food(lot).name) if @taken.include?(lot.id)
        end

        def refuse_doubled
          twice = lots.tally.find { |_, times| times > 1 } or return
          raise Refusal.of(:added_twice, food: @weighed.food(twice.first).name)
        end
      end
    end
  end
end
