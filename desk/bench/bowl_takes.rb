# frozen_string_literal: true

require_relative "../../core/portioning/bench"
require_relative "../../core/portioning/freezer_jars"
require_relative "../fit"
require_relative "../redate"
require_relative "../refusal"

module NutShelf
  module Desk
    module Bench
      # What goes into a cooked bowl, and what is added to each portion of it: stacks of any food that have a weight,
      # fit to be eaten, no more of any than is there.
      class BowlTakes
        # Grams of a stack. Frozen.
        Take = Core::Value.of(:lot, :grams, :units)

        # @return [Array<Take>] into the bowl
        attr_reader :takes
        # @return [Array<Array(Store::Rows::Lot, Core::Portioning::Addition)>] to each portion
        attr_reader :additions

        # @param work [UnitOfWork]
        # @param input [Hash] :takes as [{ lot_id:, amount: grams or nil for all }], :additions as
        #   [{ lot_id:, each_g: or per_pack: portions one pack is for }], :pet whether an animal eats it
        # @raise [Invalid, Conflict]
        def initialize(work, input)
          @work = work
          added = input[:additions] || []
          @lots = locked([*input[:takes], *added].map { |one| one[:lot_id] })
          @takes = input[:takes].each_with_index.map { |one, at| take(one, "/takes/#{at}/lot_id") }
          @additions = added.each_with_index.map { |one, at| addition(one, "/additions/#{at}/lot_id") }
          refuse_poison if input[:pet]
        end

        # @return [Array<Core::Food>]
        def foods = @foods ||= @lots.values.map { |lot| food(lot) }.uniq

        # @return [Array<Hash>] what was cooked before and went in again, with its dates
        def cooked_before
          takes.map { |one| part(one.lot) }.select(&:cooked).map { |part| JSON.parse(JSON.generate(part.to_h.compact)) }
        end

        # @param lot [Store::Rows::Lot]
        # @return [Core::Part] as it stands today
        def part(lot) = redate.part(lot)

        # @param lot [Store::Rows::Lot]
        # @return [Boolean] whether its pack was opened, or it never had one
        def opened?(lot)
          lot.open || lot.situation != "bought_sealed" || lot.history.any? { |event| event["kind"] == "opened" }
        end

        # @param lot [Store::Rows::Lot]
        # @return [Core::Food]
        def food(lot) = @work.food(lot.food_id)

        # @param lot [Store::Rows::Lot]
        # @param grams [Rational]
        # @return [Rational] in the stack's own units, never more than is there
        def units(lot, grams) = [(grams / per_unit(lot)).round(6), lot.on_hand].min

        private

        def locked(ids)
          lots = @work.house.lots.lock(ids.uniq.sort)
          raise Store::Missing, "There is no such stack here." if lots.size < ids.uniq.size

          lots
        end

        def redate = @redate ||= Redate.new(@work)

        def take(asked, pointer)
          lot = fit(asked, pointer)
          grams = asked[:amount]&.to_r || (free(lot) * per_unit(lot))
          refuse_too_much(lot, grams)
          Take.new(lot: lot, grams: grams, units: units(lot, grams))
        end

        def addition(asked, pointer)
          lot = fit(asked, pointer)
          refuse_twice(lot)
          Core::Portioning::Addition.new(
            food: food(lot), each_g: each(asked, lot, pointer), on_hand_g: free(lot) * per_unit(lot),
            value_minor: Core::Money.share(lot.value_minor, free(lot), lot.on_hand)
          ).then { |one| [lot, one] }
        end

        def each(asked, lot, pointer)
          raise Refusal.of(:addition_by_what, at: pointer) unless asked[:each_g].nil? ^ asked[:per_pack].nil?
          return asked[:each_g].to_r if asked[:each_g]

          lot.one_pack * per_unit(lot) / asked[:per_pack]
        end

        def fit(asked, pointer)
          lot = @lots.fetch(asked[:lot_id])
          raise Refusal.of(:bench_by_weight, at: pointer) unless @work.shelf.stacks[lot.id]&.weighed?

          Fit.check(@work, lot, part(lot), pointer: pointer)
          lot
        end

        def per_unit(lot) = @work.shelf.stacks.fetch(lot.id).grams_per_unit

        def refuse_too_much(lot, grams)
          return if grams.positive? && grams / per_unit(lot) <= free(lot)

          raise Refusal.of(:only_free, left: @work.part_words(lot, [free(lot), 0r].max))
        end

        # What is kept for something else stays.
        def free(lot) = lot.on_hand - @work.held.fetch(lot.id, 0r)

        # What is in the bowl is not added once more: two hands would open one pack.
        def refuse_twice(lot)
          raise Refusal.of(:added_twice, food: food(lot).name) if takes.any? { |one| one.lot.id == lot.id }
        end

        def refuse_poison
          never = Core::Portioning::PetSafe.never(foods)
          raise Refusal.of(:poison_for_pets, food: never.first.name) if never.any?
        end
      end
    end
  end
end
