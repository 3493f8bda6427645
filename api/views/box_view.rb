# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/trips/box_book"
require_relative "../../desk/trips/box_ideas"

module NutShelf
  module Api
    # A standing box as JSON: what it should hold, and what a refresh today keeps, takes out, puts in and has bought.
    class BoxView
      # @param work [Desk::UnitOfWork]
      # @param id [Integer] of the place
      def initialize(work, id)
        @work = work
        @book = Desk::Trips::BoxBook.new(work, work.house.places.find(id))
      end

      # @return [Hash]
      def call
        {
          place_id: @book.place.id, place: @book.place.name, low_c: @book.place.low_c, high_c: @book.place.high_c,
          must_reach: @book.box.must_reach.iso8601, half_year: @book.box.half_year_check.iso8601,
          lines: @book.lines.map { |line| told(line) }, ideas: ideas
        }
      end

      private

      # Other food for the box, where something has to be bought.
      def ideas
        return [] if @book.lines.none? { |line| line.refreshed.buy.positive? }

        freezes = @book.place.low_c&.negative? || false
        found = Desk::Trips::BoxIdeas.new(@work).call(freezes: freezes, besides: @book.wants.map(&:food_id))
        found.map do |one|
          {
            food_id: one.food_id, name: one.food.name, kcal: one.kcal.round, price_minor: one.price_minor,
            amount: @work.size(Core::Quantity.new(one.grams.round.to_r, :mass)),
            protein_g: Core::Decimal.print(one.protein_g.round(1))
          }
        end
      end

      def told(line)
        done = line.refreshed
        {
          food_id: line.want.food_id, name: line.food.name, want: line.want.packs, stays: done.stays,
          out: [*done.out.map { |one| leaving(one) }, *line.undated.map { |stack| undated(stack) }],
          in: done.in.map { |id, packs| moved(id, packs, nil) }, buy: done.buy, buy_dated: done.buy_dated&.iso8601,
          will_freeze: done.will_freeze
        }
      end

      def leaving(one) = moved(one.id, one.count, one.eat_by)

      def undated(stack) = moved(stack.id, 1, nil)

      def moved(id, packs, eat_by)
        stack = @book.stack(id)
        {
          lot_id: id, packs: packs, name: stack.name(@work.food(stack.food_id)), place: stack.place,
          until: stack.usable_until&.iso8601, eat_by: eat_by&.iso8601
        }
      end
    end
  end
end
