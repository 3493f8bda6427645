# frozen_string_literal: true

require_relative "sources"
require_relative "table"
require_relative "typing"

module NutShelf
  module Store
    # Stacks. What they have on hand and are worth is the database's to say; everything else is written here.
    class Lots < Table
      # What every part of a stack shares with it: what it is and all that its date rests on.
      PAST = %i[
        food_id dimension situation acquired_on made_on known_on printed_on printed_kind leftover_days start_place_id
        history value_estimated quarantined quarantine_reason method lot_text bought_for care_until care_words
      ].freeze

      # From so many rows on, plans are made anew.
      MANY = 1000

      JSONB = %i[history steps flags].freeze

      # UPDATE lots SET seen_on = '2026-11-24' WHERE household_id = 7 AND id IN (...)
      def seen_many(ids, day) = rows(:lots).where(id: ids).update(seen_on: day)

      # Stacks a recall may mean: those it names, and what came of them.
      # @return [Sequel::Dataset] of Rows::Recalled, front first
      def recalled(food_id: nil, pack_id: nil, lot_text: nil)
        meant = rows(:lots).naked.select(:id).where({ food_id: food_id, pack_id: pack_id }.compact)
        meant = meant.where(Sequel.ilike(:lot_text, "%#{db.dataset.escape_like(lot_text)}%")) if lot_text
        there = rows(:lots).where(id: Sources.new(db, household_id).traced(meant)).where { on_hand > 0 }
        rows_as(front_first(there).select(:id, :place_id, :lot_text), Rows::Recalled)
      end

      # Stacks of a food that are there, and further ones that were.
      def of_food(food_id, further_ids)
        rows(:lots).where(food_id: food_id).where { Sequel.|(on_hand > 0, { id: further_ids }) }.order(:id).all
      end

      # SELECT * FROM lots WHERE household_id = 7 AND id IN (...) ORDER BY id
      def every(ids) = rows(:lots).where(id: ids).order(:id).all

      # Which version of its row each stack stands on: the transaction that wrote it last. Two versions of one row never
      # bear the same number, so what has the number it had is as it was.
      # SELECT id, xmin FROM lots WHERE household_id = 7 AND on_hand > 0
      # @return [Hash{Integer=>Integer}]
      def versions
        rows(:lots).where { on_hand > 0 }.select_hash(:id, Sequel.lit("xmin::text::bigint").as(:version))
      end

      # What a stack of the core is made from, and nothing else: amounts in millionths, which are whole numbers.
      # SELECT lots.id, ..., (on_hand * 1000000)::bigint AS on_hand_micro, ... FROM lots
      #   WHERE household_id = 7 AND on_hand > 0 ORDER BY usable_until NULLS LAST, id
      def narrow = front_first(narrowed(rows(:lots).where { on_hand > 0 }))

      # The same of some stacks, there or gone.
      def narrow_of(ids) = front_first(narrowed(rows(:lots).where(id: ids)))

      # The same of what stands in some places.
      def narrow_in(place_ids) = narrow.where(place_id: place_ids)

      NARROW = %i[
        id food_id place_id label dimension noun open frozen quarantined level acquired_on ready_on usable_until
        quality_until safety_until strict_until stopped look_first age_unknown basis flags value_estimated value_minor
        situation wrapping opening container_id
      ].freeze
      MICRO = 1_000_000

      # SELECT food_id, sum(value_minor) FROM lots WHERE household_id = 7 AND on_hand > 0 GROUP BY food_id
      # @return [Hash{Integer=>Integer}] minor units of what is there, by food
      def present_values
        db[:lots].where(household_id: household_id).where { on_hand > 0 }.group(:food_id)
          .select_hash(:food_id, Sequel.function(:sum, :value_minor).cast(:bigint).as(:value))
      end

      # @return [Rows::Lot]
      # @raise [Missing]
      def one(id) = found(rows(:lots).where(id: id).first, "stack")

      # SELECT 1 FROM lots WHERE household_id = 7 AND food_id = 3 AND on_hand > 0 LIMIT 1
      # @return [Boolean] whether anything of a food is there
      def any_of?(food_id) = !rows(:lots).where(food_id: food_id).where { on_hand > 0 }.empty?

      # SELECT place_id, count(*) FROM lots WHERE household_id = 7 AND on_hand > 0 GROUP BY place_id
      # @return [Hash{Integer=>Integer}] how many stacks stand in a place
      def stacks_by_place = rows(:lots).where { on_hand > 0 }.group_and_count(:place_id).as_hash(:place_id, :count)

      # Locks stacks in the order of their ids, so that two acts never wait for each other.
      # SELECT * FROM lots WHERE household_id = 7 AND id IN (...) ORDER BY id FOR UPDATE
      # @return [Hash{Integer=>Rows::Lot}]
      def lock(ids) = rows(:lots).where(id: ids).order(:id).for_update.to_h { |lot| [lot.id, lot] }

      # The same for stacks of which only the day they were seen matters: hundreds of them in a count.
      # SELECT id, seen_on FROM lots WHERE household_id = 7 AND id IN (...) ORDER BY id FOR UPDATE
      # @return [Array<Rows::Sighting>]
      def lock_seen(ids)
        rows_as(rows(:lots).where(id: ids).order(:id).for_update.select(:id, :seen_on), Rows::Sighting).all
      end

      # Places where something stands that none of these stacks is.
      # SELECT DISTINCT place_id FROM lots WHERE ... on_hand > 0 AND level IS NULL AND id NOT IN (...)
      def places_besides(place_ids, ids)
        rows(:lots)
          .where(place_id: place_ids, level: nil)
          .where { on_hand > 0 }
          .exclude(id: ids)
          .distinct
          .select_map(:place_id)
      end

      # SELECT 1 FROM lots WHERE place_id IN (...) AND on_hand > 0 AND id NOT IN (...) LIMIT 1
      # @return [Boolean] whether anything stands there besides those
      def any_in?(place_ids, besides = [])
        !rows(:lots).where(place_id: place_ids).where { on_hand > 0 }.exclude(id: besides).empty?
      end

      # SELECT * FROM lots WHERE household_id = 7 AND container_id = 3 AND on_hand > 0 ORDER BY id
      # @return [Array<Rows::Lot>] what stands in jars of that kind
      def in_container(id) = rows(:lots).where(container_id: id).where { on_hand > 0 }.order(:id).all

      # @return [Rows::Lot] locked
      # @raise [Missing]
      def lock_one(id) = found(lock([id])[id], "stack")

      # @return [Integer] id
      def add(facts) = insert(:lots, wrapped(facts))

      # @param list [Array<Hash>] what is not named for one of them is what the table gives it
      # @return [Array<Integer>] ids, in that order
      def add_many(list)
        given = list.flat_map(&:keys).uniq.to_h { |name| [name, Sequel.lit("DEFAULT")] }
        db[:lots].multi_insert(
          list.map { |facts| { household_id: household_id, **given, **wrapped(facts) } },
          return: :primary_key
        )
      end

      # Said before thousands of rows are written at once: plans cached while the tables were small would
      # read them from end to end for each row.
      # @param rows [Integer] how many
      def expect_many(rows)
        return if rows < MANY

        db.run("SET LOCAL enable_seqscan = off")
        db.run("DISCARD PLANS")
      end

      # @param changes [Hash] by column
      def update(id, changes) = rows(:lots).where(id: id).update(wrapped(changes))

      DATES = {
        quality_until: "date", safety_until: "date", ready_on: "date", usable_until: "date", strict_until: "date",
        stopped: "boolean", by_school: "boolean", look_first: "boolean", age_unknown: "boolean", frozen: "boolean",
        basis: "text", steps: "jsonb", flags: "jsonb"
      }.freeze

      # Writes the dates of many stacks, one statement for all that change in the same columns.
      # UPDATE lots SET usable_until = fresh.usable_until, ... FROM jsonb_to_recordset('[...]')
      #   AS fresh (id bigint, usable_until date, ...) WHERE lots.household_id = 7 AND lots.id = fresh.id
      # @param list [Array<Hash>] :id and some of DATES
      def rewrite(list)
        return if list.empty?

        list.group_by { |one| one.keys.sort }.each_value { |alike| rewrite_alike(alike) }
      end

      # Stacks of some foods, and those that stand or ever stood in some places.
      # SELECT * FROM lots WHERE on_hand > 0 AND (food_id IN (...) OR place_id IN (...) OR start_place_id IN (...)
      #   OR history @> '[{"place_id": 7}]')
      def touched_by(places:, foods:)
        stood = places.map { |id| Sequel.lit("history @> ?", json([{ place_id: id }])) }
        rows(:lots)
          .where { on_hand > 0 }
          .where(Sequel.|({ food_id: foods }, { place_id: places }, { start_place_id: places }, *stood)).order(:id).all
      end

      # SELECT * FROM lots WHERE household_id = 7 AND on_hand > 0 ORDER BY id
      # @return [Array<Rows::Lot>]
      def all = rows(:lots).where { on_hand > 0 }.order(:id).all

      # Those another school might date otherwise.
      # SELECT * FROM lots WHERE household_id = 7 AND on_hand > 0 AND by_school ORDER BY id
      # @return [Array<Rows::Lot>]
      def by_school = rows(:lots).where { on_hand > 0 }.where(by_school: true).order(:id).all

      # Everything a list needs to be read in again to the same stock.
      def for_export
        rows(:lots)
          .join(:foods, { household_id: Sequel[:lots][:household_id], id: Sequel[:lots][:food_id] })
          .join(:places, { household_id: Sequel[:lots][:household_id], id: Sequel[:lots][:place_id] })
          .where { on_hand > 0 }
          .select_all(:lots)
          .select_append(Sequel[:foods][:name].as(:food_name), Sequel[:places][:name].as(:place_name))
          .order(Sequel[:places][:position], Sequel[:foods][:name], Sequel[:lots][:id])
          .then { |found| rows_as(found, Rows::ExportedLot).all }
      end

      # Whether stock equals the sum of its movements, for drills and specs.
      # @return [Array<Rows::Imbalance>] stacks where it does not
      def out_of_balance
        # Right after a large import the planner has no figures yet and would compare every stack with every sum.
        db.run("SET LOCAL enable_nestloop = off")
        sums =
          db[:movements]
            .where(household_id: household_id)
            .group(:lot_id)
            .select(
              :lot_id,
              Sequel.function(:sum, :quantity).as(:quantity),
              Sequel.function(:sum, :value_minor).as(:value)
            )
        rows(:lots)
          .left_join(sums.as(:sums), lot_id: Sequel[:lots][:id])
          .exclude(
            Sequel.expr(Sequel[:lots][:on_hand] => Sequel.function(:coalesce, Sequel[:sums][:quantity], 0)) &
              Sequel.expr(Sequel[:lots][:value_minor] => Sequel.function(:coalesce, Sequel[:sums][:value], 0))
          )
          .select(Sequel[:lots][:id], Sequel[:lots][:on_hand], Sequel[:sums][:quantity])
          .then { |found| rows_as(found, Rows::Imbalance).all }
      end

      # @param values [Hash{Symbol=>Object}] as an event kept them in JSON
      # @return [Hash{Symbol=>Object}] as the columns hold them
      def typed(values) = Typing.row(db, :lots, values.except(*JSONB)).merge(values.slice(*JSONB))

      private

      def front_first(found) = found.order(Sequel.asc(Sequel[:lots][:usable_until], nulls: :last), Sequel[:lots][:id])

      def narrowed(found)
        found.naked.select(*NARROW, micro(:on_hand), micro(:pack_amount))
      end

      def micro(name) = Sequel.cast(Sequel[name] * MICRO, :bigint).as(:"#{name}_micro")

      def rewrite_alike(list)
        columns = list.first.keys - [:id]
        given = Sequel.function(:jsonb_to_recordset, json(list.map do |one|
          one.transform_values do |value|
            sent(value)
          end
        end))
        types = columns.map { |name| "#{name} #{DATES.fetch(name)}" }.join(", ")
        fresh = Sequel.lit("? AS fresh (id bigint, #{types})", given)
        rows(:lots)
          .from(:lots, fresh)
          .where(Sequel[:lots][:id] => Sequel[:fresh][:id])
          .update(columns.to_h { |name| [name, Sequel[:fresh][name]] })
      end

      def sent(value) = value.is_a?(Date) ? value.iso8601 : value

      def wrapped(facts) = facts.to_h { |name, value| [name, JSONB.include?(name) ? json(value) : value] }
    end
  end
end
