# frozen_string_literal: true

require_relative "../../exchange/papers/paper"
require_relative "../views/give_away_view"

module NutShelf
  module Api
    module Papers
      # What goes to a food bank, on paper: dates, weights, allergens, a box to tick.
      class GiveAwayPaper
        BOX = "[ ]"

        # @param work [Desk::UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Exchange::Papers::Paper]
        def call
          rows = GiveAwayView.new(@work).call[:stacks].map { |one| row(one) }
          Exchange::Papers::Paper.new(
            title: "#{@work.household.name}: to give away", subtitle: @work.today.strftime("%-d %b %Y"),
            back: "/look-back/give-away",
            parts: [
              Exchange::Papers::Table.new(
                heading: "", columns: ["", "What", "Good until", "Weighs", "Holds"], shares: [1, 6, 3, 2, 4], rows: rows
              )
            ]
          )
        end

        private

        def row(one)
          [BOX, "#{one[:amount]} #{one[:name]}", Date.iso8601(one[:until]).strftime("%-d %b %Y"), one[:weight],
           one[:allergens].nil? ? "not known" : one[:allergens].join(", ")]
        end
      end
    end
  end
end
