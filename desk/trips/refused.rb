# frozen_string_literal: true

require_relative "../refusal"
require_relative "trip_book"

module NutShelf
  module Desk
    module Trips
      # What nobody may eat as a grid stands: cold too late, past its date, not for somebody, a leftover that is too old
      # or of no dish. No act on a trip makes more of it, wherever in the grid.
      class Refused
        # @param work [UnitOfWork]
        # @param trip [Store::Rows::Trip]
        # @param menu [Menu, nil] see TripBook
        def initialize(work, trip, menu: nil)
          @work = work
          @trip = trip
          @menu = menu
        end

        # @return [Hash{Integer=>Core::Trips::Fault, nil}] by row; nil for a leftover of nothing
        def standing
          book.entries.filter_map do |entry|
            bad = entry.faults.find { |fault| refuses?(fault, entry) }
            [entry.row.id, bad] if bad || (entry.row.kind == "leftover" && entry.cell.nil?)
          end.to_h
        end

        # @param before [Array<Integer>] rows that stood like that before: no reason now
        # @param pointer [String] what of the input it is about
        # @raise [Conflict]
        def guard(before, pointer)
          id, bad = standing.find { |row_id, _| !before.include?(row_id) }
          return unless id
          raise Refusal.of(:nothing_left_of_it, at: pointer) unless bad

          raise Refusal.of(:trip_meal_refused, at: pointer, why: book.fault_words(bad))
        end

        private

        # As it stands by now.
        def book = TripBook.new(@work, @trip, menu: @menu)

        def refuses?(fault, entry)
          Core::Trips::GridScore::REFUSES.include?(fault.kind) || (fault.kind == :leftover && entry.cell.leftover?)
        end
      end
    end
  end
end
