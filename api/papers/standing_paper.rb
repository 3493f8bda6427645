# frozen_string_literal: true

require_relative "../../exchange/papers/paper"

module NutShelf
  module Api
    module Papers
      # The standing list for the cupboard door: what this household always wants, by aisle, to be ticked as it runs
      # out.
      class StandingPaper
        # @param work [Desk::UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: "#{@work.household.name}: tick what runs out", subtitle: "Take it along, or write it into the list.",
            back: "/shop", parts: aisles.sort.map { |aisle, foods| part(aisle, foods) }
          )
        end

        private

        def aisles
          wants = @work.house.shopping.wants.values.select(&:standing)
          @work.know_foods(wants.map(&:food_id))
          wants.map { |want| @work.food(want.food_id) }.group_by(&:aisle)
        end

        def part(aisle, foods)
          names = foods.map(&:name).sort
          Exchange::Papers::Table.new(
            heading: aisle, columns: ["", "", "", ""], shares: [1, 7, 1, 7],
            rows: names.each_slice(2).map do |pair|
              pair.flat_map do |name|
                ["[ ]", name]
              end.values_at(0, 1, 2, 3).map(&:to_s)
            end
          )
        end
      end
    end
  end
end
