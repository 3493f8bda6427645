# frozen_string_literal: true

require_relative "redate"

module NutShelf
  module Desk
    # Dates follow from rules, places and care: when one of those changes, the stacks it touches are dated anew in
    # the same transaction. The dates are derived, so they are no event of their own.
    class After
      ALL = %w[household keeping place food].freeze

      # @param room [Room]
      # @param entry [Entry]
      def initialize(room, entry)
        @room = room
        @entry = entry
      end

      # @param events [Array<Hash>] record events that were written or put back
      def records_changed(events)
        kinds = events.map { |event| event[:record] }.uniq
        care_changed(events.select { |event| event[:record] == "care" }.map { |event| event[:record_id] })
        redate(@room.house.lots.all_with_food) if kinds.intersect?(ALL)
      end

      # @return [Integer] stacks whose last good day changed
      def redate(lots)
        fresh = @room.fresh
        fresh.know_foods(lots.map { |lot| lot[:food_id] })
        redating = Redate.new(fresh)
        lots.count do |lot|
          columns = redating.columns(lot.to_h.merge(history: lot[:history].to_a))
          @room.house.lots.update(lot[:id], columns)
          columns[:usable_until] != lot[:usable_until]
        end
      end

      # Writes on a stack until when its care holds.
      # @param ids [Array<Integer>] of care rules
      def care_changed(ids)
        ids.filter_map { |id| @room.house.records.lock("care", id)[:lot_id] }.uniq.each { |lot_id| care_of(lot_id) }
      end

      def care_of(lot_id)
        lot = @room.house.lots.lock_one(lot_id)
        rule = @room.house.care.holding(lot_id)
        changes = { care_until: rule && ((rule[:done_on] || rule[:first_on]) + rule[:holds_days]), care_words: rule && rule[:title] }
        @entry.change(lot, "care", changes) unless changes == lot.slice(:care_until, :care_words)
      end
    end
  end
end
