# frozen_string_literal: true

require "base64"
require "json"
require_relative "errors"
require_relative "lots"
require_relative "older_backups"
require_relative "soundness"
require_relative "topics"
require_relative "typing"

module NutShelf
  module Store
    # A whole household as one JSON document, and back. The same stock gives the same bytes: tables in a fixed order,
    # rows by id, columns by name, nothing that depends on when it was written. Secrets (passwords, link hashes,
    # sessions) and what the database derives (on hand, value) are left out.
    module Backup
      FORMAT = "nut-shelf-household"
      VERSION = 17
      # In the order they can be written back.
      TABLES = %i[
        people pets kits events outages places place_photos foods packs pack_barcodes keeping_rules containers
        lots trips trip_meals box_wants season_lines own_bags reservations batches acts movements lot_events lot_sources
        shops shoppings list_lines wants advice_answers price_observations recipes recipe_lines recipe_substitutes
        recipe_texts dishes dish_photos meals meal_slots meal_patterns plan_spans occasions occasion_times
        counts count_lines care_rules record_events
      ].freeze
      DERIVED = {
        lots: %i[on_hand value_minor],
        acts: %i[revision],
        households: [:dated_by, :raised_in, *Topics::ALL.map { |topic| Topics.column(topic) }]
      }.freeze
      # Rows that point into their own table are written without that, then completed.
      OWN_KIND = { places: :parent_id, foods: :merged_into_id, recipes: :follows_id, meals: :from_meal_id }.freeze
      KEYS = { pack_barcodes: [:code] }.freeze

      # The document is no backup, or of another make.
      class Unfit < Error
      end

      module_function

      # @param db [Sequel::Database] inside the wall
      # @return [String] JSON, ending with a line break
      def write(db, household_id)
        house = row(db[:households].where(id: household_id).first, :households)
        tables =
          TABLES.to_h do |table|
            [
              table,
              db[table].where(household_id: household_id).order(*KEYS.fetch(table, [:id])).map { |one| row(one, table) }
            ]
          end
        members =
          db[:memberships]
            .where(household_id: household_id)
            .order(:account_id)
            .select(:account_id, :role)
            .map { |one| row(one) }
        ids = [
          *members.map { |one| one["account_id"] },
          *tables.values_at(:acts, :counts, :count_lines).flatten.map { |one| one["account_id"] }
        ].uniq.sort
        accounts = db[:accounts].where(id: ids).order(:id).select(:id, :email, :name).map { |one| row(one) }
        document =
          JSON.parse(
            JSON.generate(
              {
                format: FORMAT,
                version: VERSION,
                household: house,
                accounts: accounts,
                memberships: members,
                tables: tables
              }
            )
          )
        "#{JSON.pretty_generate({ **document, digest: digest(document) })}\n"
      end

      # @param document [Hash] parsed JSON
      # @return [String] that changes with every letter of it
      def digest(document) = OlderBackups.digest(document)

      # Writes a document into an empty instance, as its owner, all or nothing.
      # @param db [Sequel::Database] the owner's connection
      # @param text [String]
      # @yieldparam [Integer] household id, before it is settled: what raises there leaves nothing behind
      # @return [Integer] household id
      # @raise [Unfit]
      def restore(db, text)
        document = parse(text)
        db.transaction(savepoint: true) do
          unless db[:households].empty?
            raise Unfit, "This instance holds a household already: restore into an empty one."
          end

          fill(db, document)
          TABLES.each { |table| catch_up(db, table) unless KEYS.key?(table) }
          %i[households accounts].each { |table| catch_up(db, table) }
          check(db, document["household"]["id"])
          yield document["household"]["id"] if block_given?
        end
        document["household"]["id"]
      rescue Sequel::ForeignKeyConstraintViolation
        raise Unfit, "Something in it refers to a row that is not there. Nothing was taken in."
      rescue Sequel::UniqueConstraintViolation
        raise Unfit, "Something stands in it twice. Nothing was taken in."
      rescue Sequel::CheckConstraintViolation, Sequel::NotNullConstraintViolation, Sequel::InvalidValue => e
        broken = e.wrapped_exception&.result&.error_field(PG::Result::PG_DIAG_CONSTRAINT_NAME)
        raise Unfit, "Something in it cannot be: #{broken || e.class.name.split("::").last}. Nothing was taken in."
      rescue Sequel::DatabaseError, ArgumentError, KeyError, TypeError, NoMethodError
        raise Unfit, "Something in it cannot be read. Nothing was taken in."
      end

      # What is on hand follows from the movements, and the house must hold together as any other.
      def check(db, id)
        if Lots.new(db, id).out_of_balance.any?
          raise Unfit, "Its stock does not equal the sum of its movements. Nothing was taken in."
        end

        faults = Soundness.new(db, id).faults
        raise Unfit, "#{faults.first(3).join("; ")}. Nothing was taken in." if faults.any?
      end

      # @return [Hash] the document, raised to this version
      # @raise [Unfit]
      def parse(text)
        document = JSON.parse(text)
        raise Unfit, "That is no backup of a household." unless document.is_a?(Hash) && document["format"] == FORMAT
        unless (1..VERSION).cover?(document["version"])
          raise Unfit, "That backup is of version #{document["version"]}; version #{VERSION} is known here."
        end
        unless document["version"] == 1 || document["digest"] == digest(document)
          raise Unfit, "The file was changed or did not arrive whole: its digest does not fit. Take another copy of it."
        end

        OlderBackups.raised(document, VERSION)
      rescue JSON::ParserError
        raise Unfit, "That is no JSON."
      end

      # Writes every row of a document.
      def fill(db, document)
        id = document["household"]["id"]
        insert(db, :accounts, document["accounts"].map { |one| one.slice("id", "email", "name") })
        insert(db, :households, [document["household"]])
        db[:households].update(Topics::ALL.to_h { |topic| [Topics.column(topic), :revision] })
        document["memberships"].each { |one| db[:memberships].insert(household_id: id, **one.transform_keys(&:to_sym)) }
        TABLES.each do |table|
          insert(db, table, document["tables"].fetch(table.to_s).map { |one| { "household_id" => id, **one } })
        end
      end

      # Writes the rows of one table, what points into it last.
      def insert(db, table, rows)
        late = OWN_KIND[table]
        rows.each_slice(500) { |slice| multi(db, table, slice.map { |one| late ? one.merge(late.to_s => nil) : one }) }
        rows
          .select { |one| late && one[late.to_s] }
          .each { |one| db[table].where(id: one["id"]).update(late => one[late.to_s]) }
      end

      # INSERT INTO lots (...) OVERRIDING SYSTEM VALUE VALUES (...), (...)
      def multi(db, table, rows)
        kinds = db.schema(table).to_h
        data = db[table]
        data = data.overriding_system_value if kinds.key?(:id)
        data.multi_insert(
          rows.map { |one| one.to_h { |name, value| [name.to_sym, typed(value, kinds.fetch(name.to_sym)[:db_type])] } }
        )
      end

      # @return [Object] as the column holds it
      def typed(value, type)
        return Sequel.blob(Base64.strict_decode64(value)) if type == "bytea" && value

        Typing.value(value, type)
      end

      # The next number each table gives must lie beyond those that came in.
      # SELECT setval(pg_get_serial_sequence('lots', 'id'), max(id)) FROM lots
      def catch_up(db, table)
        return unless db[table].max(:id)

        db.get(
          Sequel.function(:setval, Sequel.function(:pg_get_serial_sequence, table.to_s, "id"), db[table].max(:id))
        )
      end

      # @return [Hash{String=>Object}] columns by name, without what is derived
      def row(row, table = nil)
        row
          .reject { |name, _| name == :household_id || DERIVED.fetch(table, []).include?(name) }
          .sort
          .to_h { |name, value| [name.to_s, plain(value)] }
      end

      # @return [Object] as JSON has it
      def plain(value)
        case value
        when BigDecimal
          Core::Decimal.print(value)
        when Sequel::SQL::Blob
          Base64.strict_encode64(value)
        when Time
          value.utc.iso8601(6)
        when Date
          value.iso8601
        else
          value
        end
      end
    end
  end
end
