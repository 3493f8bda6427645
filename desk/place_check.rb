# frozen_string_literal: true

require_relative "../core/kits/box_check"
require_relative "../core/value"
require_relative "signs"
require_relative "stood_since"

module NutShelf
  module Desk
    # Looking through a place: what stands in it, what to look for on each, since when nobody did. A box of a kit is
    # looked through each half year.
    class PlaceCheck
      # A stack to look at: as the shelf has it, as it is stored, the list it is looked at by, days its water stands
      # where those are too many. Frozen.
      Seen = Core::Value.of(:stack, :lot, :list, :old_water_days)

      attr_reader :place

      # @param work [UnitOfWork]
      # @param place [Core::Place]
      def initialize(work, place)
        @work = work
        @place = place
      end

      # @return [Array<Seen>] what must be looked at first, then by date
      def stacks
        @stacks ||= standing.map { |stack| seen(stack, lots.fetch(stack.id)) }.sort_by { |one| order(one.stack) }
      end

      # @return [Hash{String=>Array<Core::LookList::Sign>}] the lists these are looked at by
      def lists
        stacks.map(&:list).uniq.to_h { |kind| [kind, @work.services.catalog.signs.fetch(kind, [])] }
      end

      # @return [Boolean] whether it is one nobody opens otherwise
      def box? = !place.kit_id.nil?

      # @return [Date, nil] when it is due; nil where it is no box, or nothing stands in it
      def due_on
        return if !box? || standing.empty?

        since = place.checked_on || lots.values.filter_map { |lot| StoodSince.day(lot, place.id) }.min or return
        Core::Kits::BoxCheck.due(since)
      end

      private

      def standing = @standing ||= @work.shelf.in_place(place.id)

      def seen(stack, lot)
        water = @work.food(stack.food_id).food_group == "water" && lot.printed_on.nil?
        Seen.new(
          stack: stack, lot: lot, list: Signs.kind(@work, lot),
          old_water_days: (Core::Kits::BoxCheck.old_water(lot.made_on || lot.acquired_on, @work.today) if water)
        )
      end

      def order(stack) = [stack.look_first ? 0 : 1, stack.usable_until&.jd || Float::INFINITY, stack.id]

      def lots = @lots ||= @work.house.lots.every(standing.map(&:id)).to_h { |lot| [lot.id, lot] }
    end
  end
end
