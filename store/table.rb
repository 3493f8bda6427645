# frozen_string_literal: true

require "sequel"

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
      def rows(name) = db[name].where(Sequel[name][:household_id] => household_id)

      def insert(name, values) = db[name].insert(household_id: household_id, **values)

      def json(value) = Sequel.pg_jsonb(value)

      def array(values) = Sequel.pg_array(values, :text)

      def found(row, what) = row || raise(Missing, "There is no such #{what} here.")
    end
  end
end

require_relative "errors"
