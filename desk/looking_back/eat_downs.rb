# frozen_string_literal: true

require_relative "books"

module NutShelf
  module Desk
    module LookingBack
      # What days without shopping came to: meals made, money not spent, and what there is too much of.
      class EatDowns
        # `meals`: cooked or eaten of what was kept; `spent` in those days and `usual` for as many, by the eight weeks
        # before, nil where there were none; `untouched`: food ids nobody took from, the dearest first. Frozen.
        Result = Core::Value.of(:span, :to, :meals, :spent, :usual, :untouched)

        BEFORE = 56
        MOST = 5

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Array<Result>] the latest first
        def all
          spans = @work.house.meals.spans.select { |span| span.kind == "eat_down" && span.from_on < @work.today }
          spans.map { |span| result(span) }
        end

        private

        def result(span)
          to = [span.to_on, @work.today].min
          books = Books.new(@work, from: span.from_on, to: to)
          Result.new(
            span: span, to: to, meals: @work.house.meals.cooked_between(span.from_on, to),
            spent: spent(books), usual: usual(span, to), untouched: untouched(books)
          )
        end

        def spent(books) = books.brought.select { |row| row.reason == "bought" }.sum(&:value_minor)

        def usual(span, to)
          first = @work.house.outcomes.first_day
          return if first.nil? || first > span.from_on - BEFORE

          before = Books.new(@work, from: span.from_on - BEFORE, to: span.from_on - 1)
          Rational(spent(before) * ((to - span.from_on).to_i + 1), BEFORE).round
        end

        def untouched(books)
          used = books.outcomes.to_set(&:food_id)
          worth = @work.house.lots.present_values
          worth.except(*used).sort_by { |id, value| [-value, id] }.first(MOST).map(&:first)
        end
      end
    end
  end
end
