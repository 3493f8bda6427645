# frozen_string_literal: true

require_relative "redate"

module NutShelf
  module Desk
    # Dates follow from rules, places and care: when one of those changes, the stacks it touches are dated anew in
    # the same transaction. The dates are derived, so they are no event of their own.
    class RedateStacks
      # Which facts of a record dates follow from.
      DATING = {
        "household" => %w[school], "place" => %w[kind low_c high_c name off_spans],
        "food" => %w[class_key reference_key aisle food_group dimension], "keeping" => %w[low high kind removed scope]
      }.freeze

      # @param work [UnitOfWork]
      # @param entry [Entry]
      def initialize(work, entry)
        @work = work
        @entry = entry
      end

      # @param events [Array<Store::Rows::RecordEvent>] that were written or put back; those of this act, unless said
      # @return [Integer] stacks whose last good day changed
      def follow(events = @work.house.records.events(@entry.act_id))
        care_changed(events.select { |event| event.record == "care" }.map(&:record_id))
        touched = events.select { |event| DATING.fetch(event.record, []).intersect?(facts(event)) }
        touched.empty? ? 0 : redate(stacks(touched))
      end

      # Only what differs is written, in one statement.
      # @param lots [Array<Store::Rows::Lot>]
      # @return [Integer] stacks whose last good day changed
      def redate(lots)
        fresh = @work.fresh
        fresh.know_foods(lots.map(&:food_id))
        redating = Redate.new(fresh)
        changed = lots.filter_map { |lot| changes(lot, redating.columns(lot)) }
        @work.house.lots.rewrite(changed)
        changed.count { |one| one.key?(:usable_until) }
      end

      # Writes on a stack until when its care holds.
      # @param ids [Array<Integer>] of care rules
      def care_changed(ids)
        ids.filter_map { |id| @work.house.records.lock("care", id).lot_id }.uniq.each { |lot_id| care_of(lot_id) }
      end

      # @param lot_id [Integer]
      def care_of(lot_id)
        lot = @work.house.lots.lock_one(lot_id)
        rule = @work.house.care.holding(lot_id)
        changes = {
          care_until: rule&.held_until,
          care_words: rule&.title
        }
        @entry.change(lot, "care", changes) unless changes == lot.slice(:care_until, :care_words)
      end

      private

      def facts(event) = event.before.keys | event.after.keys

      # A keeping time may reach any stack; a school those it dates; a place those that stood there; a food its own.
      def stacks(events)
        lots = @work.house.lots
        kinds = events.map(&:record).uniq
        return lots.by_school if kinds == ["household"]
        return lots.all if kinds.intersect?(%w[household keeping])

        ids = events.group_by(&:record).transform_values do |list|
          list.map(&:record_id)
        end
        lots.touched_by(places: ids.fetch("place", []), foods: ids.fetch("food", []))
      end

      # @return [Hash, nil] :id and the columns that differ
      def changes(lot, columns)
        differing = columns.reject { |name, value| lot.public_send(name) == value }
        { id: lot.id, **differing } if differing.any?
      end
    end
  end
end
