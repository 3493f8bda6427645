# frozen_string_literal: true

require_relative "additions"
require_relative "weighed"

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
        # @return [Additions] to each portion
        attr_reader :additions

        # @param work [UnitOfWork]
        # @param input [Hash] :takes as [{ lot_id:, amount: grams or nil for all }], :additions see Additions,
        #   :pet whether an animal eats it
        # @raise [Invalid, Conflict]
        def initialize(work, input)
          added = input[:additions] || []
          @weighed = Weighed.new(work, [*input[:takes], *added].map { |one| one[:lot_id] }, pet: input[:pet] == true)
          @takes = input[:takes].each_with_index.map { |one, at| take(one, "/takes/#{at}/lot_id") }
          @additions = Additions.new(work, added, weighed: @weighed, taken: takes.map { |one| one.lot.id })
          Additions.refuse_poison(foods) if input[:pet]
        end

        # @return [Array<Core::Food>]
        def foods = @foods ||= @weighed.lots.values.map { |lot| food(lot) }.uniq

        # @return [Array<Hash>] what was cooked before and went in again, with its dates
        def cooked_before
          takes.map { |one| @weighed.part(one.lot) }.select(&:cooked)
            .map { |part| JSON.parse(JSON.generate(part.to_h.compact)) }
        end

        # @param lot [Store::Rows::Lot]
        # @return [Core::Food]
        def food(lot) = @weighed.food(lot)

        # @return [Boolean] whether the worth of anything that went in was only estimated
        def estimated? = [*takes.map(&:lot), *additions.lots].any?(&:value_estimated)

        # @return [Array<Array(Store::Rows::Lot, Rational)>] all that went in, in the units of each stack
        def went_in = [*takes.map { |one| [one.lot, one.units] }, *additions.went_in]

        private

        def take(asked, pointer)
          lot = @weighed.fit(asked[:lot_id], pointer)
          grams = asked[:amount]&.to_r || @weighed.free_g(lot)
          @weighed.refuse_too_much(lot, grams)
          Take.new(lot: lot, grams: grams, units: @weighed.units(lot, grams))
        end
      end
    end
  end
end
