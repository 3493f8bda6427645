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
        # @param liquids [Boolean] whether stacks in millilitres do, too
        # @raise [Invalid, Conflict]
        def initialize(work, asked, liquids: false)
          @work = work
          @liquids = liquids
          @lots = locked(asked)
          @amounts = asked.to_h do |take|
            [take[:lot_id], take[:amount]&.to_r || free(lots.fetch(take[:lot_id]))]
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
          raise Refusal.of(:bench_by_weight, at: "/takes") unless measured?(all)
          raise Refusal.of(:bench_half_frozen, at: "/takes") if all.map(&:frozen).uniq.size > 1

          Fit.eaten(food, pointer: "/takes", pet: true)
          dating = Redate.new(@work)
          all.each_with_index { |lot, at| check_one(lot, dating, at) }
        end

        # All in grams, or all in millilitres where that will do.
        def measured?(all)
          all.map(&:dimension).uniq.then { |found| found == ["mass"] || (@liquids && found == ["volume"]) }
        end

        def check_one(lot, dating, at)
          Fit.check(@work, lot, dating.part(lot), pointer: "/takes/#{at}/lot_id")
          return if amounts.fetch(lot.id).positive? && amounts.fetch(lot.id) <= free(lot)

          raise Refusal.of(:only_free, left: @work.part_words(lot, [free(lot), 0r].max))
        end

        # What is kept for something else stays.
        def free(lot) = lot.on_hand - @work.held.fetch(lot.id, 0r)
      end
    end
  end
end
