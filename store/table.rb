# frozen_string_literal: true

require "sequel"
require_relative "errors"
require_relative "rows"
require_relative "typing"

module NutShelf
  module Store
    # What the topic files share: the connection inside the wall and the household it stands for.
    class Table
      # @param db [Sequel::Database] inside Database#within
      # @param household_id [Integer]
      def initialize(db, household_id)
        @db = db
        @household_id = household_id
      end

      private

      attr_reader :db, :household_id

      # SELECT * FROM name WHERE household_id = 7
      # @raise [Outside] behind the wall: there the database shows nothing, which would pass for an empty house
      def rows(name)
        raise Outside, "#{name} was to be read when its transaction was over." unless db.in_transaction?

        Rows.of_table(db[name].where(Sequel[name][:household_id] => household_id), name)
      end

      # @param made [Class] of values, see Rows
      # @return [Sequel::Dataset] whose rows are such values
      def rows_as(found, made) = Rows.typed(found, made)

      # SELECT undoes_act_id FROM acts WHERE household_id = 7 AND undoes_act_id IS NOT NULL
      # @return [Sequel::Dataset] ids of acts that a further one took back
      def taken_back = db[:acts].where(household_id: household_id).exclude(undoes_act_id: nil).select(:undoes_act_id)

      def insert(name, values) = db[name].insert(household_id: household_id, **values)

      def json(value) = Sequel.pg_jsonb(Typing.plain(value))

      def array(values) = Sequel.pg_array(values, :text)

      def found(row, what) = row || raise(Missing, "There is no such #{what} here.")
    end
  end
end
