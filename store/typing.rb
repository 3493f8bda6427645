# frozen_string_literal: true

require "bigdecimal"
require "date"
require "json"
require "sequel"
require_relative "../core/quantity/decimal"

module NutShelf
  module Store
    # Values as columns hold them, both ways; the column's own type decides, never its name. Numbers with decimals are
    # Rational in values (see Rows), JSON and lists are frozen.
    module Typing
      # PostgreSQL's number of the type jsonb.
      JSONB = 3802
      NONE = [].freeze

      # How numbers with decimals are written.
      module Literals
        private

        def literal_other_append(sql, value)
          value.is_a?(Rational) ? sql << Core::Decimal.print(value) : super
        end
      end

      module_function

      # Teaches a connection how to read and write them.
      # @param db [Sequel::Database]
      # @return [Sequel::Database] the same
      def teach(db)
        db.extension :pg_json, :pg_array
        # Most of what is read is an empty list.
        db.add_conversion_proc(JSONB) { |text| text == "[]" ? NONE : JSON.parse(text, freeze: true) }
        db.extend_datasets(Literals)
        db
      end

      # @param value [Object] as the driver gives it
      # @return [Object] as a value of Rows has it
      def read(value)
        case value
        when BigDecimal then value.to_r
        when Sequel::Postgres::PGArray then value.to_a.freeze
        else value
        end
      end

      # @return [Object] as JSON keeps it: numbers with decimals and days as text
      def plain(value)
        case value
        when Hash then value.to_h { |name, one| [name.to_s, plain(one)] }
        when Array then value.map { |one| plain(one) }
        when Rational, BigDecimal then Core::Decimal.print(value)
        when Date then value.iso8601
        when Symbol then value.to_s
        else value
        end
      end

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
          value.is_a?(Numeric) ? value.to_r : Rational(value.to_s)
        else
          value
        end
      end

      # @return [Sequel::Postgres::PGArray]
      def array(value, type) = Sequel.pg_array(value.to_a, type.delete_suffix("[]"))
    end
  end
end
