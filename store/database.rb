# frozen_string_literal: true

require "sequel"
require_relative "errors"
require_relative "typing"

module NutShelf
  module Store
    # The app's connection, and the one way through the household wall.
    class Database
      # Nobody waits for ever: for a lock another hand holds, or for a statement. SET lock_timeout = '8s'; ...
      DEADLINES = [
        "SET lock_timeout = '8s'",
        "SET statement_timeout = '30s'",
        "SET idle_in_transaction_session_timeout = '120s'"
      ].freeze

      # Connects as the app's role.
      # @param url [String]
      # @param connections [Integer]
      # @return [Database]
      def self.connect(url, connections: 8)
        db =
          Sequel.connect(
            url,
            max_connections: connections,
            pool_timeout: 5,
            connect_timeout: 3,
            keep_reference: false,
            connect_sqls: DEADLINES
          )
        prepare(db)
        new(db)
      rescue Sequel::DatabaseConnectionError => e
        raise Away, e.message
      end

      # @param db [Sequel::Database]
      # @return [Sequel::Database] the same, reading and writing values as Typing has them
      def self.prepare(db)
        db.extension :connection_validator
        db.pool.connection_validation_timeout = 30
        Typing.teach(db)
      end

      attr_reader :sequel

      def initialize(sequel)
        @sequel = sequel
      end

      # Runs the block in one transaction that sees one household.
      # SQL: SELECT set_config('nut_shelf.household', '7', true)
      # @param household_id [Integer]
      # @yieldparam [Sequel::Database]
      def within(household_id)
        Translate.errors do
          sequel.transaction do
            sequel.get(Sequel.function(:set_config, "nut_shelf.household", household_id.to_s, true))
            yield sequel
          end
        end
      end

      # One picture of a household that stands still however long it takes to draw.
      # SQL: SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY
      def still(household_id)
        Translate.errors do
          sequel.transaction(isolation: :repeatable, read_only: true) do
            sequel.get(Sequel.function(:set_config, "nut_shelf.household", household_id.to_s, true))
            yield sequel
          end
        end
      end

      # Like `within`, but nothing stays: everything the block does is taken back.
      def trying(household_id)
        within(household_id) do |db|
          yield db
          raise Sequel::Rollback
        end
      end

      # The one moment when a household is made and none can be set yet.
      def making
        Translate.errors do
          sequel.transaction do
            sequel.get(Sequel.function(:set_config, "nut_shelf.making", "yes", true))
            yield sequel
          end
        end
      end

      # Tables outside the wall.
      def outside(&block) = Translate.errors { block.call(sequel) }

      # The same in one transaction.
      def outside_at_once = Translate.errors { sequel.transaction { yield sequel } }

      # Lets every connection go; the next question makes one.
      def disconnect = sequel.disconnect
    end
  end
end
