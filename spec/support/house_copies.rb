# frozen_string_literal: true

require "sequel"

# Households for the specs, copied inside the database from one that was made the usual way: making one takes half a
# second for its foods and dishes, and nearly every example wants its own. What is copied is what the maker makes, a
# spec says so. Only whoever owns the server may leave out the checks of what was checked before.
class HouseCopies
  # Drawn anew for each.
  ITS_OWN = %i[uid].freeze
  # What a table holds of the household that is copied.
  Part = Struct.new(:table, :columns, :least, :span)

  # @param url [String] the owner's
  # @param model [Integer] the household that is copied
  def initialize(url, model)
    @db = Sequel.connect(url, max_connections: 1)
    @model = model
    @made = 0
    @parts = @db.tables.sort.filter_map { |table| part(table) }
    @points_to =
      @db.fetch(<<~SQL).to_h { |row| [row.values_at(:from, :column), row[:to]] }
        SELECT c.conrelid::regclass::text AS from, a.attname AS column, c.confrelid::regclass::text AS to
        FROM pg_constraint c JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = ANY (c.conkey)
        WHERE c.contype = 'f' AND a.attname <> 'household_id'
      SQL
  end

  # @return [Boolean] whether this server lets us
  def self.can?(url) = Sequel.connect(url) { |db| db.get(Sequel.lit("current_setting('is_superuser')")) == "on" }

  # @param name [String] of the household
  # @param account [Integer] who becomes its keeper
  # @return [Integer] household id
  def make(name, account)
    look_anew
    @db.transaction do
      @db.run("SET LOCAL session_replication_role = replica")
      id = household(name)
      @db[:memberships].insert(account_id: account, household_id: id, role: "keeper")
      moved = @parts.to_h { |part| [part.table.to_s, reserve(part) - part.least] }
      @parts.each { |part| copy(part, id, moved) }
      id
    end
  end

  private

  # Nobody plans well what he has counted last when there was half as much of it.
  def look_anew
    @made += 1
    @db.run("ANALYZE") if @made.nobits?(@made - 1)
  end

  def part(table)
    schema = @db.schema(table)
    columns = schema.filter_map { |name, facts| name unless facts[:generated] || ITS_OWN.include?(name) }
    return unless columns.include?(:household_id) && schema.to_h.dig(:id, :type) == :integer

    least, most = @db[table].where(household_id: @model).get { [min(:id).as(:least), max(:id).as(:most)] }
    Part.new(table, columns, least, most - least + 1) if least
  end

  def household(name)
    taken = @db[:households].columns - [:id, :name, *ITS_OWN]
    @db[:households].insert([:name, *taken], @db[:households].where(id: @model).select(Sequel[name].as(:name), *taken))
    @db[:households].max(:id)
  end

  # @return [Integer] the first of as many free ids
  def reserve(part)
    sequence = @db.get(Sequel.function(:pg_get_serial_sequence, part.table.to_s, "id"))
    first = @db.get(Sequel.function(:nextval, sequence))
    @db.get(Sequel.function(:setval, sequence, first + part.span - 1))
    first
  end

  def copy(part, id, moved)
    told = part.columns.map { |column| expression(part, column, id, moved) }
    rows = @db[part.table].where(household_id: @model).order(:id).select(*told)
    @db[part.table].overriding_system_value.insert(part.columns, rows)
  end

  def expression(part, column, id, moved)
    return Sequel[id].as(column) if column == :household_id
    return Sequel[:id] + moved.fetch(part.table.to_s) if column == :id

    to = @points_to[[part.table.to_s, column.to_s]]
    moved.key?(to) ? Sequel[column] + moved.fetch(to) : column
  end
end
