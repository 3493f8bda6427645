# frozen_string_literal: true

require_relative "../core/quantity/money"
require_relative "../core/rotation/as_it_was"
require_relative "redate"
require_relative "refusal"

module NutShelf
  module Desk
    # An act being written: its movements, its events, and the dates that follow from them. Stacks are values; what
    # this act has made of one so far is `now`, and everything here goes on from that.
    class Entry
      attr_reader :act_id, :summary

      # @return [Entry]
      def self.open(work, kind:, summary:, occurred_on:, undoes: nil, subject: nil)
        id =
          work.house.ledger.open(
            kind: kind,
            account_id: work.caller.account_id,
            role: work.caller.role,
            occurred_on: occurred_on,
            summary: summary,
            undoes_act_id: undoes,
            subject_id: subject,
            device: work.envelope.device.to_s,
            sequence: work.sequence,
            revision: work.household.revision
          )
        new(work, id, summary, occurred_on)
      end

      def initialize(work, act_id, summary, occurred_on)
        @work = work
        @act_id = act_id
        @summary = summary
        @occurred_on = occurred_on
        @now = {}
      end

      # @param lot [Store::Rows::Lot] as it was read within this act
      # @return [Store::Rows::Lot] as this act has left it so far
      def now(lot) = @now.fetch(lot.id, lot)

      # A new stack, empty until something is moved in.
      # @param facts [Hash] columns of the store
      # @return [Store::Rows::Lot] as stored
      def new_lot(facts)
        id = house.lots.add(dated(facts))
        house.ledger.event(
          act_id: act_id,
          lot_id: id,
          kind: "came",
          before: {},
          after: facts.slice(:place_id, :printed_on, :situation)
        )
        house.lots.one(id)
      end

      # @return [Hash] the facts of a new stack with the dates that follow from them
      def dated(facts)
        facts = { start_place_id: facts[:place_id], known_on: @occurred_on, **facts }
        { **facts, **redate.columns(Store::Rows::Lot.new(**facts)) }
      end

      # Moves an amount in (positive) or out (negative) with its value.
      # @param quantity [Rational] base units
      # @param value_minor [Integer]
      # @return [Store::Rows::Lot] as it is after that
      def move(lot, quantity, value_minor, reason, why: "")
        lot = now(lot)
        house.ledger.move(
          act_id: act_id,
          lot_id: lot.id,
          quantity: quantity,
          value_minor: value_minor,
          reason: reason,
          why: why,
          **as_it_was(lot)
        )
        keep(lot.with(on_hand: lot.on_hand + quantity, value_minor: lot.value_minor + value_minor))
      end

      # How a stack stands on the day of this act, as its movements keep it.
      # @param lot [Store::Rows::Lot]
      # @return [Hash] :state, :days_left and :looked
      def as_it_was(lot) = Core::AsItWas.of(lot, on: @occurred_on, policy: @work.policy).to_h

      # Takes an amount out; its value goes with it, the last take gets the rest.
      # @return [Integer] minor units that went
      def draw(lot, amount, reason, why: "")
        lot = now(lot)
        raise not_enough(lot) if amount > lot.on_hand

        refuse_before_it_came(lot)

        value = Core::Money.share(lot.value_minor, amount, lot.on_hand)
        move(lot, -amount, -value, reason, why: why)
        value
      end

      # Splits an amount off into a stack of its own that shares the past of the first.
      # @param changes [Hash] what is different about the new stack
      # @return [Store::Rows::Lot] the new stack
      def split(lot, amount, **changes)
        lot = now(lot)
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
            :wrapping,
            :opening
          )
        child = new_lot({ **facts, container_id: jar_of(lot, amount), **changes })
        came_of(child, lot, amount, "split")
        move(child, amount, draw(lot, amount, "split"), "split")
      end

      # Notes what a stack came from, for its history and for recalls.
      # @param amount [Rational] in the source's own units
      # @param kind [String] see Store::Sources
      def came_of(lot, source, amount, kind)
        house.sources.add(act_id: act_id, lot_id: lot.id, source_lot_id: source.id, kind: kind, amount: amount)
      end

      # Changes facts of a stack, keeps before and after, and writes the dates that follow.
      # @return [Store::Rows::Lot] as it is after that
      def change(lot, kind, changes)
        lot = now(lot)
        refuse_before_it_came(lot)
        before = lot.slice(*changes.keys)
        changed = lot.with(**changes)
        columns = redate.columns(changed)
        changed = changed.with(**columns)
        guard_stop(lot, changed)
        house.lots.update(lot.id, { **changes, **columns })
        house.ledger.event(act_id: act_id, lot_id: lot.id, kind: kind, before: before, after: changes)
        keep(changed)
      end

      # Tells of a stack what changes nothing of it, so that its history has it.
      # @param kind [String] of Store::Ledger::TOLD
      def tell(lot, kind, facts)
        house.ledger.event(act_id: act_id, lot_id: lot.id, kind: kind, before: {}, after: facts)
      end

      # Adds something that happened to a stack's story. Where it stands is told by the last move of all, which a late
      # letter need not be.
      # @param event [Hash{String => Object}] see UnitOfWork#happening
      # @return [Store::Rows::Lot] as it is after that
      def happen(lot, event, **changes)
        lot = now(lot)
        changes = changes.except(:place_id) if event["kind"] == "moved" && moved_since?(lot, event)
        change(lot, event["kind"], { **changes, history: [*lot.history, event] })
      end

      # Makes a record (a place, a jar, a rule of care) that an undo puts out of sight again.
      # @return [Integer] its id
      def make(kind, facts)
        house.records.add(kind, facts).tap { |id| made(kind, id, facts) }
      end

      # Notes a record this act made on its way, so that an undo puts it out of sight unless others use it by then.
      # @param id [Integer]
      def made(kind, id, facts)
        house.records.event(act_id: act_id, record: kind, record_id: id, before: {}, after: facts)
      end

      # Changes a record, and keeps before and after.
      # @param row [#id, #slice] as locked
      def alter(kind, row, changes)
        before = row.slice(*changes.keys)
        house.records.update(kind, row.id, changes)
        house.records.event(act_id: act_id, record: kind, record_id: row.id, before: before, after: changes)
      end

      # @return [Redate] by the rules as they were when the act began
      def redate = @redate ||= Redate.new(@work)

      private

      def house = @work.house

      # What is not to eat is let back onto the shelf by a keeper or not at all.
      def guard_stop(before, after)
        return if @work.caller.keeper? || !not_to_eat?(before) || not_to_eat?(after)

        raise Refusal.of(:lets_back_unfit)
      end

      def not_to_eat?(lot) = lot.stopped || (!lot.safety_until.nil? && lot.safety_until < @work.today)

      # Closed jars that go somewhere else go in their jars; what is ladled out of one leaves it behind.
      def jar_of(lot, amount)
        lot.container_id if !lot.open && lot.pack_amount && (amount % lot.pack_amount).zero?
      end

      def keep(lot) = @now[lot.id] = lot

      def moved_since?(lot, event)
        later =
          lot.history.select do |one|
            one["kind"] == "moved" && ([one["on"].to_s, one["seq"].to_i] <=> event.values_at("on", "seq")).positive?
          end
        return false if later.empty?

        @work.unsettled << "It was moved again since: it stands in #{@work.place(lot.place_id).name}."
        true
      end

      # Nothing can have been done to what was not there yet.
      def refuse_before_it_came(lot)
        return unless @work.late? && lot.known_on && @work.on < lot.known_on

        raise Refusal.of(:not_there_yet, food: name(lot), day: lot.known_on)
      end

      def name(lot) = lot.name(@work.food(lot.food_id))

      def not_enough(lot)
        Refusal.of(:only_left, left: @work.part_words(lot, lot.on_hand))
      end
    end
  end
end
