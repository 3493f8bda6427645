# frozen_string_literal: true

require_relative "../fit"
require_relative "../redate"
require_relative "../refusal"

module NutShelf
  module Desk
    module Bench
      # Stacks of any food that have a weight and are fit to be eaten, told in grams.
      class Weighed
        # @return [Hash{Integer=>Store::Rows::Lot}] locked, by id
        attr_reader :lots

        # @param work [UnitOfWork]
        # @param ids [Array<Integer>]
        # @param pet [Boolean] whether an animal eats what comes of it
        # @raise [Store::Missing]
        def initialize(work, ids, pet: false)
          @work = work
          @pet = pet
          @lots = work.house.lots.lock(ids.uniq.sort)
          raise Store::Missing, "There is no such stack here." if lots.size < ids.uniq.size
        end

        # @param id [Integer]
        # @param pointer [String] where it stands in what was sent
        # @return [Store::Rows::Lot] fit to be eaten
        # @raise [Invalid, Conflict]
        def fit(id, pointer)
          lot = lots.fetch(id)
          raise Refusal.of(:bench_by_weight, at: pointer) unless @work.shelf.stacks[lot.id]&.weighed?

          Fit.eaten(food(lot), pointer: pointer, pet: @pet)
          Fit.check(@work, lot, part(lot), pointer: pointer)
          lot
        end

        # @param lot [Store::Rows::Lot]
        # @return [Core::Part] as it stands today
        def part(lot) = redate.part(lot)

        # @param lot [Store::Rows::Lot]
        # @return [Core::Food]
        def food(lot) = @work.food(lot.food_id)

        # @param lot [Store::Rows::Lot]
        # @return [Boolean] whether its pack was opened, or it never had one
        def opened?(lot)
          lot.open || lot.situation != "bought_sealed" || lot.history.any? { |event| event["kind"] == "opened" }
        end

        # @param lot [Store::Rows::Lot]
        # @return [Rational] of what is kept for nothing else
        def free_g(lot) = free(lot) * per_unit(lot)

        # @param lot [Store::Rows::Lot]
        # @return [Integer] minor units that is worth
        def free_value(lot) = Core::Money.share(lot.value_minor, free(lot), lot.on_hand)

        # @param lot [Store::Rows::Lot]
        # @return [Rational]
        def pack_g(lot) = lot.one_pack * per_unit(lot)

        # @param lot [Store::Rows::Lot]
        # @param grams [Rational]
        # @return [Rational] in the stack's own units, never more than is there
        def units(lot, grams) = [(grams / per_unit(lot)).round(6), lot.on_hand].min

        # @param lot [Store::Rows::Lot]
        # @param grams [Rational]
        # @raise [Conflict] where so much is not free
        def refuse_too_much(lot, grams)
          return if grams.positive? && grams / per_unit(lot) <= free(lot)

          raise Refusal.of(:only_free, left: @work.part_words(lot, [free(lot), 0r].max))
        end

        private

        def redate = @redate ||= Redate.new(@work)

        def per_unit(lot) = @work.shelf.stacks.fetch(lot.id).grams_per_unit

        # What is kept for something else stays.
        def free(lot) = lot.on_hand - @work.held.fetch(lot.id, 0r)
      end
    end
  end
end
