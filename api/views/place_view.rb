# frozen_string_literal: true

require_relative "../../desk/at_risk"
require_relative "breach_view"
require_relative "stack_view"

module NutShelf
  module Api
    # A place as JSON: its facts, the room left, what stands wrong in it, what pests could reach.
    class PlaceView
      # @return [Hash] one row of the list
      def self.row(row, stacks, photo)
        {
          **row.slice(
            :id, :name, :kind, :tier, :low_c, :high_c, :parent_id, :dark, :reach, :fill_percent, :count_every_days,
            :note, :version, :inner_mm, :kit_id, :kit_box
          ),
          stacks: stacks,
          photo: photo,
          fill_said_on: row.fill_said_on&.iso8601,
          off_since: row.off_since&.iso8601,
          counted_on: row.counted_on&.iso8601
        }
      end

      # @param work [Desk::UnitOfWork]
      def initialize(work, id)
        @work = work
        @place = work.house.places.find(id)
        @view = StackView.new(work)
      end

      # @return [Hash]
      def call
        stacks = @work.shelf.in_place(@place.id)
        {
          place: PlaceView.row(@place, stacks.size, !@work.house.places.photo(@place.id).nil?),
          room_left: room_left,
          warnings: [*wrong(stacks), *BreachView.call(@work, @place.id)],
          at_risk: Desk::AtRisk.new(@work).in_place(@place.id).map { |stack| @view.call(stack) }
        }
      end

      private

      # Litres that are free, by what somebody last said about how full it is.
      def room_left
        return unless @place.inner_mm && @place.fill_percent

        litres = @place.inner_mm.to_a.reduce(1) { |product, size| product * size }/1_000_000r
        free = litres * (100 - @place.fill_percent) / 100
        {
          litres: free.round.to_i,
          of: litres.round.to_i,
          steps: [
            "Inside it measures #{@place.inner_mm.to_a.join(" x ")} mm, which is #{litres.round} litres.",
            "It was #{@place.fill_percent} % full on #{Core::Words.day(@place.fill_said_on)}, so about #{free.round} " \
            "litres are free."
          ]
        }
      end

      def wrong(stacks)
        stacks
          .select { |stack| stack.flags.any? }
          .map { |stack| { kind: stack.flags.first.code, stack: @view.call(stack), text: stack.flags.first.text } }
      end
    end
  end
end
