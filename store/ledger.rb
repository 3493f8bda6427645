# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Acts and what they own: movements and events. Append-only.
    class Ledger < Table
      # What is told of a stack and changes nothing of it: nothing else depends on it.
      TOLD = %w[seen set_apart released].freeze

      # @param facts [Hash] :kind, :account_id, :role, :occurred_on, :summary, :device, :sequence; :undoes_act_id,
      #   :subject_id or nil
      # @return [Integer] act id
      def open(**facts)
        insert(:acts, **facts)
      end

      # @param state [String] see Core::AsItWas, as the two that follow
      def move(act_id:, lot_id:, quantity:, value_minor:, reason:, state:, days_left:, looked:, why: "")
        insert(
          :movements, act_id: act_id, lot_id: lot_id, quantity: quantity, value_minor: value_minor, reason: reason,
          why: why, state: state, days_left: days_left, looked: looked
        )
      end

      # @param list [Array<Hash>] what `move` takes
      # @raise [KeyError] where one does not say how its stack stood
      def move_many(list)
        list.each { |facts| facts.fetch(:state) }
        db[:movements].multi_insert(list.map { |facts| { household_id: household_id, why: "", **facts } })
      end

      # Notes facts of a stack before and after.
      def event(act_id:, lot_id:, kind:, before:, after:)
        insert(:lot_events, act_id: act_id, lot_id: lot_id, kind: kind, before: json(before), after: json(after))
      end

      # The coming of many stacks at once.
      # @param lots [Array<Array(Integer, Hash)>] id and facts
      def event_many(act_id, lots)
        db[:lot_events].multi_insert(
          lots.map do |id, facts|
            {
              household_id: household_id,
              act_id: act_id,
              lot_id: id,
              kind: "came",
              before: json({}),
              after: json({ place_id: facts[:place_id] })
            }
          end
        )
      end

      # Somebody saw many stacks at once.
      # @param lots [Array<#id, #seen_on>] with the day of before
      # @param since [Hash{Integer=>Date}] when somebody last had them in hand
      def seen_many(act_id, lots, day, since = {})
        db[:lot_events].multi_insert(
          lots.map do |lot|
            after = { seen_on: day.iso8601, since: since[lot.id]&.iso8601 }.compact
            {
              household_id: household_id,
              act_id: act_id,
              lot_id: lot.id,
              kind: "seen",
              before: json({ seen_on: lot.seen_on&.iso8601 }),
              after: json(after)
            }
          end
        )
      end

      # The latest time this very list was brought in and not taken back.
      # @param fingerprint [Integer]
      # @return [Rows::TellingAct, nil]
      def imported(fingerprint)
        with_people(standing.where(Sequel[:acts][:kind] => "import", Sequel[:acts][:subject_id] => fingerprint)).order(
          Sequel.desc(Sequel[:acts][:id])
        ).first
      end

      # @return [Array<Integer>] ids of the stacks an act moved or changed
      def touched(act_id)
        %i[movements lot_events].flat_map { |table| rows(table).where(act_id: act_id).select_map(:lot_id) }.uniq.sort
      end

      # Stacks that acts moved or changed since a revision.
      # SELECT DISTINCT lot_id FROM (movements UNION lot_events) JOIN acts WHERE acts.revision > 40 LIMIT 41
      # @param since [Integer]
      # @param most [Integer]
      # @return [Array<Integer>]
      def touched_since(since, most)
        acts = rows(:acts).where { revision > since }.select(:id)
        touching = %i[movements lot_events].map { |table| rows(table).where(act_id: acts).select(:lot_id) }
        touching.reduce { |one, other| one.union(other) }.limit(most).select_map(:lot_id).sort
      end

      # @return [Rows::Act]
      # @raise [Missing]
      def act(id) = found(rows(:acts).where(id: id).first, "act")

      # SELECT * FROM movements WHERE household_id = 7 AND act_id = 40 ORDER BY id
      def movements(act_id) = rows(:movements).where(act_id: act_id).order(:id).all

      # SELECT * FROM lot_events WHERE household_id = 7 AND act_id = 40 ORDER BY id
      def events(act_id) = rows(:lot_events).where(act_id: act_id).order(:id).all

      # @return [Boolean] whether a further act took it back
      def undone?(act_id) = !rows(:acts).where(undoes_act_id: act_id).empty?

      # The latest acts with the name of who did them, newest first.
      # SELECT acts.*, accounts.name, undone.id AS undone_by FROM acts JOIN accounts ... ORDER BY acts.id DESC LIMIT 20
      def recent(limit: 20) = with_people(rows(:acts)).order(Sequel.desc(Sequel[:acts][:id])).limit(limit).all

      # Acts that stand (neither undone nor an undo) after this one and touch one of these stacks.
      # Merely having seen a stack, or keeping some of it for somebody, depends on nothing.
      def later_acts(act_id, lot_ids)
        touching =
          db[:movements]
            .where(household_id: household_id, lot_id: lot_ids)
            .select(:act_id)
            .union(
              db[:lot_events].where(household_id: household_id, lot_id: lot_ids).exclude(kind: TOLD).select(:act_id),
              from_self: false
            )
        standing
          .where { Sequel[:acts][:id] > act_id }
          .where(Sequel[:acts][:id] => touching)
          .order(Sequel[:acts][:id])
          .all
      end

      # Acts that stand and changed one of these records later.
      # @param records [Array<Array(String, Integer)>] kind and id
      def later_record_acts(act_id, records)
        return [] if records.empty?

        touching =
          db[:record_events].where(household_id: household_id).where(%i[record record_id] => records).select(:act_id)
        standing
          .where { Sequel[:acts][:id] > act_id }
          .where(Sequel[:acts][:id] => touching)
          .order(Sequel[:acts][:id])
          .all
      end

      # Everything that happened to a stack, oldest first by the day it happened and the order within it, in one query.
      # SELECT acts.*, m.quantity, m.value, m.reason, m.why, e.kinds, undone.id FROM acts JOIN accounts LEFT JOIN (sums)
      #   m LEFT JOIN (events) e ...
      def history(lot_id)
        sums = moved(lot_id)
        kinds = event_kinds(lot_id)
        with_people(rows(:acts))
          .left_join(sums.as(:m), act_id: Sequel[:acts][:id])
          .left_join(kinds.as(:e), act_id: Sequel[:acts][:id])
          .select_append(*%i[quantity value reason why].map { |name| Sequel[:m][name] }, Sequel[:e][:event_kind])
          .where(Sequel.~(Sequel[:m][:act_id] => nil) | Sequel.~(Sequel[:e][:act_id] => nil))
          .order(*%i[occurred_on sequence id].map { |column| Sequel[:acts][column] })
          .then { |found| rows_as(found, Rows::StackAct).all }
      end

      # What counts wrote off of a stack and has not come back.
      # @return [Rows::Loss]
      def lost_of(lot_id)
        rows(:movements)
          .join(standing.select(Sequel[:acts][:id]).as(:standing), id: Sequel[:movements][:act_id])
          .where(lot_id: lot_id, why: "counted")
          .select(Sequel.lit("coalesce(-sum(quantity), 0) AS quantity, coalesce(-sum(value_minor), 0) AS value"))
          .then { |found| rows_as(found, Rows::Loss).first }
      end

      private

      def standing
        rows(:acts).where(Sequel[:acts][:undoes_act_id] => nil).exclude(
          Sequel[:acts][:id] =>
            taken_back
        )
      end

      def moved(lot_id)
        most = %i[reason why].map { |name| Sequel.function(:max, name).as(name) }
        db[:movements]
          .where(household_id: household_id, lot_id: lot_id)
          .group(:act_id)
          .select(
            :act_id,
            Sequel.function(:sum, :quantity).as(:quantity),
            Sequel.function(:sum, :value_minor).as(:value),
            *most
          )
      end

      def event_kinds(lot_id)
        db[:lot_events]
          .where(household_id: household_id, lot_id: lot_id)
          .group(:act_id)
          .select(:act_id, Sequel.function(:max, :kind).as(:event_kind))
      end

      def with_people(acts)
        rows_as(acts, Rows::TellingAct)
          .join(:accounts, id: Sequel[:acts][:account_id])
          .left_join(
            Sequel[:acts].as(:undone),
            household_id: Sequel[:acts][:household_id],
            undoes_act_id: Sequel[:acts][:id]
          )
          .select_all(:acts)
          .select_append(Sequel[:accounts][:name].as(:person), Sequel[:undone][:id].as(:undone_by))
      end
    end
  end
end
