# frozen_string_literal: true

require "bigdecimal"
require "date"
require "sequel"

module NutShelf
  module Store
    # Values that went through JSON (what an event kept, what a backup holds) back to what their column holds. The
    # column's own type decides, never its name.
    module Typing
      module_function

      # @param db [Sequel::Database]
      # @param table [Symbol]
      # @param values [Hash{Symbol=>Object}] by column
      # @return [Hash{Symbol=>Object}]
      # @raise [KeyError] for a column the table does not have
      def row(db, table, values)
        kinds = kinds(db, table)
        values.to_h { |name, value| [name, value(value, kinds.fetch(name))] }
      end

      # @return [Hash{Symbol=>String}] PostgreSQL's name of each column's type
      def kinds(db, table) = db.schema(table).to_h.transform_values { |facts| facts[:db_type] }

      # @return [Object] as a column of that type holds it
      def value(value, type)
        return value if value.nil?
        return array(value, type) if type.end_with?("[]")

        case type
        when "jsonb"
          Sequel.pg_jsonb(value)
        when "date"
          value.is_a?(Date) ? value : Date.iso8601(value)
        when /\Anumeric/
          value.is_a?(BigDecimal) ? value : BigDecimal(value.to_s)
        else
          value
        end
      end

      # @return [Sequel::Postgres::PGArray]
      def array(value, type) = Sequel.pg_array(value.to_a, type.delete_suffix("[]"))
    end
  end
end
