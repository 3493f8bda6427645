# frozen_string_literal: true

require_relative "../core/quantity/money"
require_relative "../core/rotation/as_it_was"
require_relative "redate"

module NutShelf
  module Desk
    # An act being written: its movements, its events, and the dates that follow from them.
    class Entry
      attr_reader :act_id, :summary

      # @return [Entry]
      def self.open(room, kind:, summary:, occurred_on:, undoes: nil, subject: nil)
        id =
          room.house.ledger.open(
            kind: kind,
            account_id: room.caller.account_id,
            role: room.caller.role,
            occurred_on: occurred_on,
            summary: summary,
            undoes_act_id: undoes,
            subject_id: subject,
            device: room.envelope.device.to_s,
            sequence: room.sequence,
            revision: room.household[:revision]
          )
        new(room, id, summary, occurred_on)
      end

      def initialize(room, act_id, summary, occurred_on)
        @room = room
        @act_id = act_id
        @summary = summary
        @occurred_on = occurred_on
      end

      # A new stack, empty until something is moved in.
      # @param facts [Hash] columns of the store
      # @return [Hash] the stack as stored
      def new_lot(facts)
        id = house.lots.add(dated(facts))
        house.ledger.event(
          act_id: act_id,
          lot_id: id,
          kind: "came",
          before: {},
          after: plain(facts.slice(:place_id, :printed_on, :situation))
        )
        house.lots.one(id)
      end

      # @return [Hash] the facts of a new stack with the dates that follow from them
      def dated(facts)
        facts = { history: [], start_place_id: facts[:place_id], known_on: @occurred_on, **facts }
        { **facts, **redate.columns(facts) }
      end

      # Moves an amount in (positive) or out (negative) with its value.
      # @param quantity [Rational] base units
      # @param value_minor [Integer]
      def move(lot, quantity, value_minor, reason, why: "")
        house.ledger.move(
          act_id: act_id,
          lot_id: lot[:id],
          quantity: BigDecimal(Core::Decimal.print(quantity)),
          value_minor: value_minor,
          reason: reason,
          why: why,
          **as_it_was(lot)
        )
      end

      # How a stack stands on the day of this act, as its movements keep it.
      # @param lot [Hash]
      # @return [Hash] :state, :days_left and :looked
      def as_it_was(lot)
        dates = Core::State::Dates.new(**lot.slice(*Core::State::Dates::FIELDS).compact)
        Core::AsItWas.of(dates, on: @occurred_on, policy: @room.policy).to_h
      end

      # Takes an amount out; its value goes with it, the last take gets the rest.
      # @return [Integer] minor units that went
      def draw(lot, amount, reason, why: "")
        on_hand = lot[:on_hand].to_r
        raise not_enough(lot) if amount > on_hand

        refuse_before_it_came(lot)

        value = Core::Money.share(lot[:value_minor], amount, on_hand)
        move(lot, -amount, -value, reason, why: why)
        lot[:on_hand] = lot[:on_hand] - BigDecimal(Core::Decimal.print(amount))
        lot[:value_minor] -= value
        value
      end

      # Splits an amount off into a stack of its own that shares the past of the first.
      # @param changes [Hash] what is different about the new stack
      # @return [Hash] the new stack
      def split(lot, amount, **changes)
        facts =
          lot.slice(
            *Store::Lots::PAST,
            :pack_id,
            :place_id,
            :label,
            :pack_amount,
            :noun,
            :open,
            :level,
            :directions,
            :wrapping
          )
        child = new_lot({ **facts, history: facts[:history].to_a, parent_lot_id: lot[:id], **changes })
        value = draw(lot, amount, "split")
        move(child, amount, value, "split")
        house.lots.one(child[:id])
      end

      # Changes facts of a stack, keeps before and after, and writes the dates that follow.
      def change(lot, kind, changes)
        refuse_before_it_came(lot)
        before = lot.slice(*changes.keys)
        changed = { **lot, **changes }
        columns = redate.columns(changed)
        guard_stop(lot, columns)
        house.lots.update(lot[:id], { **changes, **columns })
        house.ledger.event(act_id: act_id, lot_id: lot[:id], kind: kind, before: plain(before), after: plain(changes))
        lot.merge!(changes)
      end

      # Adds something that happened to a stack's story. Where it stands is told by the last move of all, which a late
      # letter need not be.
      # @param event [Hash{String => Object}] see Room#happening
      def happen(lot, event, **changes)
        changes = changes.except(:place_id) if event["kind"] == "moved" && moved_since?(lot, event)
        change(lot, event["kind"], { **changes, history: [*lot[:history].to_a, event] })
      end

      # Makes a record (a place, a jar, a rule of care) that an undo puts out of sight again.
      # @return [Integer] its id
      def make(kind, facts)
        house.records.add(kind, facts).tap { |id| made(kind, id, facts) }
      end

      # Notes a record this act made on its way, so that an undo puts it out of sight unless others use it by then.
      # @param id [Integer]
      def made(kind, id, facts)
        house.records.event(act_id: act_id, record: kind, record_id: id, before: {}, after: plain(facts))
      end

      # Changes a record, and keeps before and after.
      # @param row [Hash] as locked
      def alter(kind, row, changes)
        id = row.is_a?(Hash) ? row[:id] : row.id
        before = row.slice(*changes.keys)
        house.records.update(kind, id, changes)
        house.records.event(act_id: act_id, record: kind, record_id: id, before: plain(before), after: plain(changes))
      end

      # @return [Redate] by the rules as they were when the act began
      def redate = @redate ||= Redate.new(@room)

      private

      def house = @room.house

      # What is not to eat is let back onto the shelf by a keeper or not at all.
      def guard_stop(lot, columns)
        return if @room.caller.keeper? || !not_to_eat?(lot) || not_to_eat?(columns)

        raise Forbidden.new(
          "That would let back onto the shelf what is not to eat.",
          code: "keeper_only",
          remedy: "Ask a keeper of the household."
        )
      end

      def not_to_eat?(dates) = dates[:stopped] || (!dates[:safety_until].nil? && dates[:safety_until] < @room.today)

      def moved_since?(lot, event)
        later =
          lot[:history].to_a.select do |one|
            one["kind"] == "moved" && ([one["on"].to_s, one["seq"].to_i] <=> event.values_at("on", "seq")).positive?
          end
        return false if later.empty?

        @room.unsettled << "It was moved again since: it stands in #{@room.place(lot[:place_id]).name}."
        true
      end

      # Nothing can have been done to what was not there yet.
      def refuse_before_it_came(lot)
        return unless @room.late? && lot[:known_on] && @room.on < lot[:known_on]

        raise Conflict.new(
          "#{name(lot)} came only on #{lot[:known_on]}.",
          code: "too_late",
          remedy: "Look at what is there now, and do it again."
        )
      end

      def name(lot) = lot[:label].to_s.empty? ? @room.food(lot[:food_id]).name : lot[:label]

      def plain(facts) = JSON.parse(JSON.generate(facts))

      def not_enough(lot)
        Conflict.new(
          "Only #{@room.part_words(lot, lot[:on_hand])} of it is left.",
          code: "not_enough",
          remedy: "Take less, or look again: somebody may have taken some."
        )
      end
    end
  end
end
