# frozen_string_literal: true

require_relative "../../desk/place_check"
require_relative "stack_view"

module NutShelf
  module Api
    # What somebody needs who looks through a place, as JSON.
    class PlaceCheckView
      # @param work [Desk::UnitOfWork]
      # @param id [Integer] of the place
      def initialize(work, id)
        @work = work
        @check = Desk::PlaceCheck.new(work, work.house.places.find(id))
        @view = StackView.new(work)
      end

      # @return [Hash]
      def call
        place = @check.place
        {
          place_id: place.id, place: place.name, box: @check.box?, checked_on: place.checked_on&.iso8601,
          due_on: @check.due_on&.iso8601, lists: @check.lists.map { |kind, signs| list(kind, signs) },
          stacks: @check.stacks.map { |seen| stack(seen) }
        }
      end

      private

      def list(kind, signs)
        { kind: kind, signs: signs.map { |one| { sign: one.sign, means: one.means.to_s } } }
      end

      def stack(seen)
        {
          lot_id: seen.stack.id, **@view.call(seen.stack).slice(:name, :amount, :state, :usable_until),
          list: seen.list, beside_pests: seen.stack.flags.any? { |flag| flag.code == "pests_near" },
          old_water_days: seen.old_water_days
        }
      end
    end
  end
end
