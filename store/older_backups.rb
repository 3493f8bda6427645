# frozen_string_literal: true

require "digest"
require "json"
require "securerandom"

module NutShelf
  module Store
    # Documents of earlier versions of Backup, raised to the latest: what was added stands as it was then, what was told
    # elsewhere is told again where it belongs.
    module OlderBackups
      module_function

      # @return [String] that changes with every letter of a document
      def digest(document) = Digest::SHA256.hexdigest(JSON.generate(document.except("digest")))

      # What an earlier version did not know stands as it was then.
      ADDED = {
        1 => {
          "acts" => {
            "role" => "keeper"
          },
          "foods" => {
            "allergens" => nil
          },
          "lots" => {
            "age_unknown" => false, "known_on" => nil, "look_first" => false, "strict_until" => nil
          }
        },
        2 => {
          "acts" => {
            "device" => "",
            "sequence" => 0
          },
          :household => -> { { "uid" => SecureRandom.uuid } }
        },
        3 => {
          "foods" => {
            "home_place_id" => nil
          }
        },
        4 => {
          "movements" => {
            "days_left" => nil, "looked" => nil, "state" => nil
          }
        },
        5 => {
          "lots" => {
            "by_school" => true
          },
          "recipes" => {
            "version" => 1, "follows_id" => nil
          }
        },
        6 => {
          "meals" => {
            "choices" => {}, "from_meal_id" => nil, "kind" => "cook", "lot_id" => nil, "note" => "", "pinned" => false,
            "version" => 1
          }
        },
        7 => {
          "recipe_lines" => { "position" => 0, "text" => "" },
          "recipes" => { "notes" => "", "own" => false, "source" => "" }
        },
        9 => { "recipe_lines" => { "made" => false } },
        10 => { "price_observations" => { "shop_id" => nil } },
        11 => { "wants" => { "largest" => nil, "freeze" => false } },
        12 => {
          "people" => {
            "born_on" => nil, "age" => nil, "age_on" => nil, "sex" => nil, "kg" => nil, "activity" => nil,
            "pregnant" => false, "nursing" => false, "formula_fed" => false, "dislikes" => []
          },
          "places" => { "kit_id" => nil, "kit_box" => nil }, "reservations" => { "kit_id" => nil },
          "lots" => { "opening" => nil }, "packs" => { "opening" => nil }
        },
        13 => { "places" => { "checked_on" => nil } },
        14 => { "reservations" => { "trip_id" => nil } },
        15 => {
          "places" => { "cold_kind" => nil, "off_spans" => [] },
          "trips" => { "shops" => [], "carried_by" => "back", "gas_used_g" => nil, "boiled_ml" => nil },
          "trip_meals" => { "soaked" => false }
        }
      }.freeze

      # What was told elsewhere before, see migration 015.
      RETOLD = {
        5 => ->(tables) { with_records_of_meals(tables) },
        6 => ->(tables) { { "meal_slots" => [], "meal_patterns" => [], "plan_spans" => [], **tables } },
        7 => ->(tables) { { "recipe_texts" => [], "dishes" => dishes(tables), **tables } },
        8 => ->(tables) { { "occasions" => [], "occasion_times" => [], "dish_photos" => [], **tables } },
        10 => ->(tables) { { "shops" => [], "shoppings" => [], "list_lines" => [], "wants" => [], **tables } },
        11 => ->(tables) { { "advice_answers" => [], **tables } },
        12 => ->(tables) { { "pets" => [], "kits" => [], "events" => [], "outages" => [], **tables } },
        14 => ->(tables) { { "batches" => [], "trips" => [], "trip_meals" => [], "box_wants" => [], **tables } },
        15 => ->(tables) { { "season_lines" => [], **tables } },
        16 => ->(tables) { { "own_bags" => [], **tables } }
      }.freeze

      # @param document [Hash] of any earlier version
      # @param version [Integer] the latest
      # @return [Hash] the document as that version would have written it
      def raised(document, version)
        (document["version"]...version).reduce(document) do |older, number|
          newer(older, ADDED.fetch(number, {}), RETOLD.fetch(number, :itself.to_proc))
        end
      end

      # @return [Hash] the tables with what acts did to meals, and with the places and foods they made, among the other
      #   records
      def with_records_of_meals(tables)
        told = tables["record_events"].to_a
        further = [
          *tables["meal_events"].to_a.map do |one|
            { **one.slice("act_id", "before", "after"), "record" => "meal", "record_id" => one["meal_id"] }
          end,
          *tables["acts"].to_a.filter_map { |act| made(act) }
        ]
        numbered = numbered([*told, *further])
        {
          "reservations" => [], **tables.except("meal_events"), "record_events" => numbered,
          "recipe_lines" => without(tables["recipe_lines"], "substitutes"),
          "recipe_substitutes" => substitutes(tables), "lot_sources" => sources(tables),
          "lots" => without(tables["lots"], "parent_lot_id")
        }
      end

      # @return [Array<Hash>] the version in force of every dish, see migration 022
      def dishes(tables)
        latest = tables["recipes"].to_a.group_by { |row| row["key"] }.values.map do |list|
          list.max_by do |row|
            row["version"]
          end
        end
        numbered(
          latest.map do |row|
            { "key" => row["key"], "recipe_id" => row["id"], "archived_at" => nil, "version" => 1, "likes" => {} }
          end
        )
      end

      # @return [Array<Hash>] what may stand in for ingredients, see migration 019
      def substitutes(tables)
        keys = tables["foods"].to_a.to_h { |food| [food["reference_key"] || food["key"], food["id"]] }
        numbered(
          tables["recipe_lines"].to_a.flat_map do |line|
            line["substitutes"].to_h.slice(*keys.keys).map do |key, factor|
              { "line_id" => line["id"], "food_id" => keys[key], "factor" => factor }
            end
          end
        )
      end

      # @return [Array<Hash>] the rows without a column
      def without(rows, column) = rows.to_a.map { |row| row.except(column) }

      # @return [Array<Hash>] with ids of their own, in that order
      def numbered(rows) = rows.each.with_index(1).map { |row, id| { **row, "id" => id } }

      # @return [Array<Hash>] what stacks came from, see migration 018
      def sources(tables)
        came = tables["lot_events"].to_a.select { |one| one["kind"] == "came" }
        numbered([*split(tables, came), *poured(tables), *cooked(tables, came)])
      end

      # @return [Array<Hash>] stacks that were split off another
      def split(tables, came)
        acts = came.to_h { |one| one.values_at("lot_id", "act_id") }
        tables["lots"].to_a.select { |lot| lot["parent_lot_id"] }.map do |lot|
          source(acts.fetch(lot["id"]), lot["id"], lot["parent_lot_id"], "split")
        end
      end

      # @return [Array<Hash>] what jars were topped up with
      def poured(tables)
        tables["lot_events"].to_a.filter_map do |one|
          from = one["kind"] == "topped_up" && one.dig("after", "history").to_a.last&.fetch("lot_id", nil)
          source(one["act_id"], one["lot_id"], from, "poured") if from
        end
      end

      # @return [Array<Hash>] what kept dishes were cooked from
      def cooked(tables, came)
        cooks = tables["acts"].to_a.select { |act| act["kind"] == "cook" }.map { |act| act["id"] }
        used = tables["movements"].to_a.select { |one| one["reason"] == "cooked" }.group_by { |one| one["act_id"] }
        made = tables["movements"].to_a.select { |one| one["reason"] == "made" }.map { |one| one["lot_id"] }
        came.select { |one| cooks.include?(one["act_id"]) && made.include?(one["lot_id"]) }.flat_map do |one|
          used.fetch(one["act_id"], []).map { |use| use["lot_id"] }.uniq.map do |id|
            source(one["act_id"], one["lot_id"], id, "cooked")
          end
        end
      end

      # @return [Hash]
      def source(act_id, lot_id, source_id, kind)
        { "act_id" => act_id, "lot_id" => lot_id, "source_lot_id" => source_id, "kind" => kind, "amount" => nil }
      end

      # @return [Hash, nil] the record an act made under an id of its own
      def made(act)
        record = { "add_place" => "place", "add_food" => "food" }[act["kind"]] or return
        return unless act["subject_id"]

        {
          "act_id" => act["id"], "record" => record, "record_id" => act["subject_id"], "before" => {}, "after" => {}
        }
      end

      # @return [Hash] the document one version later, with a digest of its own
      def newer(document, added, retold)
        tables =
          document["tables"].to_h.to_h do |table, rows|
            [table, rows.to_a.map { |row| { **added.fetch(table, {}), **row } }]
          end
        house = { **added.fetch(:household, -> { {} }).call, **document["household"].to_h }
        whole = {
          **document, "version" => document["version"] + 1, "household" => house, "tables" => retold.call(tables)
        }
        { **whole, "digest" => digest(whole) }
      end
    end
  end
end
