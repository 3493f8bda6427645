# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../sound"
require_relative "../refusal"

module NutShelf
  module Desk
    # Takes an act back by reversing movements and putting facts back, while no later act depends on it. What comes of
    # it must hold as if it had been done by an act.
    class Undo < Act
      private

      # @param input [Hash] :act_id
      def perform(input)
        act = house.ledger.act(input[:act_id])
        refuse(act)
        read(act)
        house.lots.expect_many(@movements.size)
        lots = house.lots.lock([*@movements, *@events].map(&:lot_id).uniq.sort)
        refuse_depended_on(act)
        undo = entry("undo", "Undone: #{act.summary}", undoes: act.id)
        Sound.keeping(work) { put_all_back(undo, act, lots) }
        done(undo, undone_act_id: act.id)
      end

      def read(act)
        @movements = house.ledger.movements(act.id)
        @events = house.ledger.events(act.id)
        @records = house.records.events(act.id)
      end

      def put_all_back(undo, act, lots)
        reverse(undo, lots)
        records_back(undo, act)
      end

      def refuse(act)
        raise Refusal.of(:undo_of_undo) if act.undoes_act_id
        raise Refusal.of(:undone_already) if house.ledger.undone?(act.id)
        return if work.caller.keeper? || act.role == "helper"

        raise Refusal.of(:keeper_did_that)
      end

      # Later acts stand in the way when they build on a stack this act made or changed; a stack it only
      # took from may get its amount back at any time.
      def refuse_depended_on(act)
        later = house.ledger.later_acts(act.id, shaped)
        later += house.ledger.later_record_acts(act.id, @records.map { |event| [event.record, event.record_id] })
        return if later.empty?

        latest = later.max_by(&:id)
        raise Refusal.of(act.kind == "cook" ? :cooked_since : :done_since, later: latest.summary, act_id: latest.id)
      end

      def shaped
        changed = @events.reject { |event| Store::Ledger::TOLD.include?(event.kind) }
        [*changed, *@movements.select { |row| row.quantity.positive? }].map(&:lot_id).uniq
      end

      def reverse(undo, lots)
        @movements.reverse_each do |row|
          house.ledger.move(
            act_id: undo.act_id,
            lot_id: row.lot_id,
            quantity: -row.quantity,
            value_minor: -row.value_minor,
            reason: "undone",
            **undo.as_it_was(lots.fetch(row.lot_id))
          )
        end
        @events.reverse_each { |event| put_back(undo, lots.fetch(event.lot_id), event) }
      end

      def put_back(undo, lot, event)
        before = symbols(event.before)
        return if before.empty?
        return seen_back(lot, event) if event.kind == "seen"

        undo.change(lot, "undone", house.lots.typed(before))
      end

      # Somebody may have seen it again since.
      def seen_back(lot, event)
        return unless lot.seen_on&.iso8601 == event.after["seen_on"]

        house.lots.seen_many([lot.id], house.lots.typed(symbols(event.before).slice(:seen_on))[:seen_on])
      end

      def records_back(undo, act)
        @records.reverse_each do |event|
          next unlearn(undo, event) if event.record == "barcode"

          house.records.lock(event.record, event.record_id)
          before = symbols(event.before)
          if before.empty?
            put_away(event, act)
          else
            house.records.update(event.record, event.record_id, house.records.typed(event.record, before))
          end
          noted(undo, event, before)
        end
        RedateStacks.new(work, undo).follow(@records)
      end

      # What an act made goes out of sight, unless something stands there or is kept of it by another act. Where it was
      # what the act was for, that stands in the way; what came of it on the way then stays.
      def put_away(event, act)
        gone = { "food" => house.foods, "place" => house.places }[event.record]
        return house.records.retire(event.record, event.record_id) unless gone
        return if gone.archive(event.record_id) || act.subject_id != event.record_id

        raise Refusal.of(:still_used)
      end

      def noted(undo, event, before)
        house.records.event(
          act_id: undo.act_id,
          record: event.record,
          record_id: event.record_id,
          before: event.after,
          after: before
        )
      end

      # A code means again what it meant before.
      def unlearn(undo, event)
        before = event.before
        house.packs.unlearn_barcode(code: event.record_id.to_s.rjust(14, "0"), pack_id: before["pack_id"])
        noted(undo, event, before)
      end

      def symbols(facts) = facts.transform_keys(&:to_sym)
    end
  end
end
