# frozen_string_literal: true

require_relative "../../desk/trips/trip_book"

module NutShelf
  module Api
    # What could be eaten at a meal of a trip as JSON, with what stands against each, least first.
    class TripChoicesView
      MOST = 60

      # @param work [Desk::UnitOfWork]
      # @param trip [Store::Rows::Trip]
      # @param day [Date]
      # @param meal [String]
      def initialize(work, trip, day, meal)
        @book = Desk::Trips::TripBook.new(work, trip)
        @day = day
        @meal = meal
      end

      # @return [Hash]
      def call
        {
          choices: [
            *@book.leftovers(@day, @meal).map { |choice, faults| row("leftover", choice, faults) },
            *@book.suggestions(@day, @meal).first(MOST).map do |choice, faults|
              row(choice.assembly ? "bag" : "recipe", choice, faults)
            end
          ]
        }
      end

      private

      def row(kind, choice, faults)
        name = @book.menu.name(choice)
        {
          kind: kind, key: choice.key, name: kind == "leftover" ? "The rest of #{name}" : name,
          faults: faults.map { |fault| @book.fault_words(fault) },
          refused: faults.any? { |fault| Core::Trips::GridScore::REFUSES.include?(fault.kind) }
        }
      end
    end
  end
end
