# frozen_string_literal: true

require_relative "../refusal"
require_relative "kept_food"
require_relative "steps"

module NutShelf
  module Desk
    module Preserving
      # What every way of keeping food has in common: the food of the batch is used up, what is made of it carries what
      # it cost, and what is to be done tomorrow becomes a task.
      class Making
        # @param work [UnitOfWork]
        # @param batch [Store::Rows::Batch]
        # @param input [Hash] see FinishBatch
        # @raise [Invalid, Conflict] for what may not be kept like that
        def initialize(work, batch, input)
          @work = work
          @batch = batch
          @input = input
          check
        end

        private

        attr_reader :work, :batch, :input

        def food = work.food(batch.food_id)

        def place = @place ||= work.place_in_use(input[:place_id])

        def out_g
          grams = input[:out_g].to_r
          raise Refusal.of(:weight_not_above_zero, at: "/out_g") unless grams.positive?

          grams
        end

        def size(grams) = work.size(Core::Quantity.new(grams, :mass))

        def steps = Steps.new(work.catalog, batch.process, work.catalog.trips.drying[batch.cut])

        # @return [Store::Rows::Lot] with all that the batch was worth, or its share
        def made(finished, pool, facts, amount, value)
          lot = finished.new_lot(
            { place_id: place.id, made_on: work.on, value_estimated: pool.value_estimated,
              label: input[:label].to_s.strip, lot_text: pool.lot_text, **facts }
          )
          finished.came_of(lot, pool, pool.on_hand, "cooked")
          finished.move(lot, amount, value, "made")
        end

        def use_up(finished, pool) = finished.move(pool, -pool.on_hand, -pool.value_minor, "cooked")

        def follow_up(finished, lot, name)
          steps.followed_up(batch.ticked).each do |step|
            day = work.today + (step.follow_up_hours/24r).ceil
            finished.make("care", title: "#{name}: #{step.follow_up.downcase}", lot_id: lot.id, first_on: day,
              next_on: day)
          end
        end
      end
    end
  end
end
