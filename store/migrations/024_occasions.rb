# frozen_string_literal: true

# Meals that come round and are more than a weekday's: a birthday, the first day of summer, the last Sunday of a month.
# What is usual about it stands in `occasions`, with a pocket for ideas all year; each time it was held in
# `occasion_times`, with what was cooked and what was left.
Sequel.migration do
  role = "nut_shelf_app"
  made = %i[occasions occasion_times]

  up do
    own = lambda do |table, name|
      table.primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :"#{name}_pk"
      table.foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :"#{name}_household"
      table.String :notes, null: false, default: ""
      table.column :dishes, :jsonb, null: false, default: "[]"
      table.column :archived_at, :timestamptz
      table.Integer :version, null: false, default: 1
      table.unique %i[household_id id], name: :"#{name}_of_household"
    end
    create_table(:occasions) do
      own.(self, :occasions)
      String :name, null: false
      column :recurrence, :jsonb, null: false
      String :meal, null: false, default: "dinner"
      String :serve_at, null: false, default: "18:30"
      column :eaters, :jsonb
      column :ideas, :jsonb, null: false, default: "[]"
      Integer :cooks, null: false, default: 1
      Integer :ovens, null: false, default: 1
      constraint(:occasions_meal_known, meal: %w[breakfast lunch dinner snack])
      constraint(:occasions_serve_at, Sequel.lit("serve_at ~ '^([01][0-9]|2[0-3]):[0-5][0-9]$'"))
      constraint(:occasions_hands, Sequel.lit("cooks BETWEEN 1 AND 9 AND ovens BETWEEN 0 AND 4"))
    end
    create_table(:occasion_times) do
      own.(self, :occasion_times)
      column :occasion_id, :bigint, null: false
      Date :on_date, null: false
      Integer :heads, null: false
      constraint(:occasion_times_heads, heads: 0..500)
      foreign_key %i[household_id occasion_id], :occasions, key: %i[household_id id],
        name: :occasion_times_occasion_same_household
      index %i[household_id occasion_id on_date], unique: true, name: :occasion_times_once,
        where: { archived_at: nil }
    end
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    made.each do |table|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "GRANT SELECT, INSERT, UPDATE ON #{table} TO #{role}"
      run "CREATE TRIGGER #{table}_topic AFTER INSERT OR UPDATE OR DELETE ON #{table} FOR EACH STATEMENT " \
          "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
    end
  end

  down { made.reverse_each { |table| drop_table(table) } }
end
