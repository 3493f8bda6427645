# frozen_string_literal: true

require_relative "places"
require_relative "table"
require_relative "typing"

module NutShelf
  module Store
    # What acts change besides stacks: places, people, jars, care, counts, settings. One way to read, change and put
    # back any of them, so that every act can be undone. The words on the left are the desk's.
    class Records < Table
      TABLES = {
        "place" => :places, "person" => :people, "container" => :containers, "care" => :care_rules,
        "count" => :counts, "food" => :foods, "keeping" => :keeping_rules, "photo" => :place_photos,
        "count_line" => :count_lines, "household" => :households, "meal" => :meals,
        "reservation" => :reservations, "slot" => :meal_slots, "pattern" => :meal_patterns, "span" => :plan_spans,
        "dish" => :dishes, "occasion" => :occasions, "occasion_time" => :occasion_times,
        "dish_photo" => :dish_photos, "shop" => :shops, "shopping" => :shoppings, "list_line" => :list_lines,
        "want" => :wants, "advice" => :advice_answers, "pet" => :pets, "kit" => :kits, "event" => :events,
        "outage" => :outages, "pack" => :packs, "batch" => :batches,
        "trip" => :trips, "trip_meal" => :trip_meals, "box_want" => :box_wants,
        "season_line" => :season_lines, "own_bag" => :own_bags
      }.freeze
      # Locked, so that two keepers changing one record come one after the other.
      # SELECT * FROM places WHERE household_id = 7 AND id = 3 FOR UPDATE
      # @return [#id, #slice] a value of Rows, or Core::Place
      # @raise [Missing]
      def lock(kind, id) = found(scope(kind).where(id: id).for_update.first, kind)

      # @return [Integer] id
      def add(kind, facts) = insert(TABLES.fetch(kind), wrapped(kind, facts))

      # Changes a record; where it carries a version, that goes up by one.
      def update(kind, id, changes)
        changes = { **changes, version: Sequel[:version] + 1 } if versioned?(kind)
        scope(kind).where(id: id).update(wrapped(kind, changes))
      end

      # @return [Hash{Symbol=>Object}] as the columns hold what an event kept in JSON
      def typed(kind, values) = Typing.row(db, TABLES.fetch(kind), values)

      # Puts a record an act made out of sight; nothing is deleted.
      def retire(kind, id)
        case kind
        when "keeping"
          scope(kind).where(id: id).update(removed: true)
        when "count"
          scope(kind).where(id: id).update(status: "thrown")
        when "meal"
          scope(kind).where(id: id).update(status: "dropped")
        else
          scope(kind).where(id: id).update(archived_at: Sequel::CURRENT_TIMESTAMP)
        end
      end

      # Notes facts of a record before and after.
      def event(act_id:, record:, record_id:, before:, after:)
        insert(
          :record_events,
          act_id: act_id,
          record: record,
          record_id: record_id,
          before: json(before),
          after: json(after)
        )
      end

      # SELECT * FROM record_events WHERE household_id = 7 AND act_id = 40 ORDER BY id
      def events(act_id) = rows(:record_events).where(act_id: act_id).order(:id).all

      private

      def versioned?(kind) = !%w[count count_line keeping photo dish_photo pack].include?(kind)

      def scope(kind) = kind == "household" ? house : rows(TABLES.fetch(kind))

      def house = rows_as(db[:households].where(id: household_id), Rows::Household)

      def wrapped(kind, facts)
        plain = facts.reject { |_, value| value.is_a?(Sequel::SQL::Expression) }
        { **facts, **Typing.row(db, TABLES.fetch(kind), plain) }
      end
    end
  end
end
