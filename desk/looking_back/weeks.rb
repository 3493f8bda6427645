# frozen_string_literal: true

require_relative "../../core/value"
require_relative "../slots"
require_relative "books"

module NutShelf
  module Desk
    module LookingBack
      # The weeks of a look back: what left and how, what was spent on what, for how many who ate, what was in the house
      # at the end and how long that would have lasted.
      class Weeks
        # `spent`: food group to minor units; `eater_days`: people who ate here, added up over the days; `cover`: weeks
        # the stock would last at what was eaten in the four weeks before, by value, nil where nothing was. Frozen.
        Week = Core::Value.of(:from, :to, :tally, :spent, :eater_days, :worth, :cover) do
          # @return [String] by which what is behind it is asked for: its Monday, also where it is cut
          def key = Books.key(Books.monday(from))

          # @param minor [Integer]
          # @return [Integer, nil] for one person and day
          def each(minor) = eater_days.positive? ? Rational(minor, eater_days).round : nil

          # @return [Integer, nil] minor units spent for one person and day
          def per_eater_day = each(spent.values.sum)
        end

        BEFORE = 28
        SPENT = %w[bought].freeze

        # @param work [UnitOfWork]
        # @param books [Books]
        def initialize(work, books)
          @work = work
          @books = books
          @eaten = Books.new(work, from: books.from - BEFORE, to: books.to)
          @slots = Slots.new(work)
        end

        # @return [Array<Week>] from Monday to Sunday, the first and the last cut where the look back begins and ends
        def all
          (@books.from..@books.to).slice_when { |_, day| day.monday? }.map { |days| week(days.first, days.last) }
        end

        private

        def week(from, to)
          Week.new(
            from: from, to: to, tally: Core::Tally.of(@books.outcomes.select { |one| one.on.between?(from, to) }),
            spent: spent(from, to), eater_days: eater_days(from, to), worth: @books.worth(to), cover: cover(to)
          )
        end

        def spent(from, to)
          rows = @books.brought.select { |row| SPENT.include?(row.reason) && row.occurred_on.between?(from, to) }
          sums = rows.group_by { |row| @work.food(row.food_id).food_group }
          sums.transform_values { |list| list.sum(&:value_minor) }.sort_by { |group, sum| [-sum, group] }.to_h.freeze
        end

        # The most who sat at one meal of that day; everybody who eats here where nothing is said of it.
        def eater_days(from, to)
          slots = @slots.between(from, to).group_by(&:on)
          (from..to).sum do |day|
            slots.fetch(day, []).map do |slot|
              slot.evening == "out" ? 0 : slot.eaters.size
            end.max || 0
          end
        end

        def cover(day)
          eaten = @eaten.outcomes.select { |one| one.kind == "eaten" && one.on.between?(day - BEFORE + 1, day) }
          weekly = Rational(eaten.sum(&:value_minor) * 7, BEFORE)
          weekly.positive? ? @books.worth(day) / weekly : nil
        end
      end
    end
  end
end
