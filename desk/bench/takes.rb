# frozen_string_literal: true

require_relative "../fit"
require_relative "../redate"
require_relative "../refusal"

module NutShelf
  module Desk
    module Bench
      # What is taken to the bench: weighed stacks of one food, all frozen or none, fit to be eaten, and no more of any
      # than is there.
      class Takes
        # @return [Hash{Integer=>Store::Rows::Lot}] locked, by id
        attr_reader :lots
        # @return [Hash{Integer=>Rational}] grams, by stack
        attr_reader :amounts

        # @param work [UnitOfWork]
        # @param asked [Array<Hash>] [{ lot_id:, amount: grams or nil for all }]
        # @raise [Invalid, Conflict]
        def initialize(work, asked)
          @work = work
          @lots = locked(asked)
          @amounts = asked.to_h do |take|
            [take[:lot_id], take[:amount]&.to_r || lots.fetch(take[:lot_id]).on_hand]
          end
          check
        end

        # @return [Core::Food]
        def food = @work.food(lots.values.first.food_id)

        # @return [Rational] grams
        def sum = amounts.values.sum(0r)

        # @return [String] "3 stacks of Carrots"
        def named = lots.size > 1 ? "#{lots.size} stacks of #{food.name}" : lots.values.first.name(food)

        private

        def locked(asked)
          ids = asked.map { |take| take[:lot_id] }.uniq
          lots = @work.house.lots.lock(ids)
          raise Store::Missing, "There is no such stack here." if lots.size < ids.size

          lots
        end

        def check
          all = lots.values
          raise Refusal.of(:bench_one_food, at: "/takes") if all.map(&:food_id).uniq.size > 1
          raise Refusal.of(:bench_by_weight, at: "/takes") if all.any? { |lot| lot.dimension != "mass" }
          raise Refusal.of(:bench_half_frozen, at: "/takes") if all.map(&:frozen).uniq.size > 1

          dating = Redate.new(@work)
          all.each_with_index { |lot, at| check_one(lot, dating, at) }
        end

        def check_one(lot, dating, at)
          Fit.check(@work, lot, dating.part(lot), pointer: "/takes/#{at}/lot_id")
          return if amounts.fetch(lot.id).positive? && amounts.fetch(lot.id) <= lot.on_hand

          raise Refusal.of(:only_left, left: @work.part_words(lot, lot.on_hand))
        end
      end
    end
  end
end
