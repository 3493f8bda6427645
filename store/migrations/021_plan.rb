# frozen_string_literal: true

# What fills a meal is more than a dish: leftovers of another meal, portions that wait, eating out, whatever is left; it
# may wait without a day, and be kept against every filling. A slot says what a day's meal is like (who eats, how long
# there is, what kind of evening); a pattern says it for every such weekday. A span is a stretch of days that is planned
# together.
Sequel.migration do
  role = "nut_shelf_app"
  kinds = %w[cook leftovers kept out whatever]
  evenings = %w[home packed shifts out no_oven no_power]
  meals = %w[breakfast lunch dinner snack]
  made = %i[meal_slots meal_patterns plan_spans]

  up do
    alter_table(:meals) do
      set_column_allow_null :on_date
      set_column_allow_null :recipe_id
      add_column :kind, String, null: false, default: "cook"
      add_column :from_meal_id, :bigint
      add_column :lot_id, :bigint
      add_column :pinned, :boolean, null: false, default: false
      add_column :choices, :jsonb, null: false, default: "{}"
      add_column :note, String, null: false, default: ""
      add_column :version, Integer, null: false, default: 1
      add_foreign_key %i[household_id from_meal_id],
        :meals,
        key: %i[household_id id],
        name: :meals_from_same_household
      add_foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :meals_lot_same_household
      add_constraint(:meals_kind_known, kind: kinds)
      add_constraint(:meals_dish_of_cooks, Sequel.lit("(kind = 'cook') = (recipe_id IS NOT NULL)"))
      add_constraint(:meals_leftovers_of_one, Sequel.lit("(kind = 'leftovers') = (from_meal_id IS NOT NULL)"))
      add_constraint(:meals_portions_of_one, Sequel.lit("(kind = 'kept') = (lot_id IS NOT NULL)"))
      add_index %i[household_id from_meal_id], name: :meals_by_cook
    end

    own = lambda do |table, name|
      table.primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :"#{name}_pk"
      table.foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :"#{name}_household"
      table.column :archived_at, :timestamptz
      table.Integer :version, null: false, default: 1
      table.unique %i[household_id id], name: :"#{name}_of_household"
    end
    what = lambda do |table, name|
      table.String :meal, null: false
      table.String :evening, null: false, default: "home"
      table.Integer :minutes
      table.Integer :morning_minutes
      table.column :eaters, :jsonb
      table.column :gear, :jsonb
      table.String :note, null: false, default: ""
      table.constraint(:"#{name}_meal_known", meal: meals)
      table.constraint(:"#{name}_evening_known", evening: evenings)
      table.constraint(:"#{name}_minutes", Sequel.lit("minutes BETWEEN 0 AND 1440"))
      table.constraint(:"#{name}_morning_minutes", Sequel.lit("morning_minutes BETWEEN 0 AND 1440"))
    end
    create_table(:meal_slots) do
      own.(self, :meal_slots)
      what.(self, :meal_slots)
      Date :on_date, null: false
      index %i[household_id on_date meal], unique: true, name: :meal_slots_once, where: { archived_at: nil }
    end
    create_table(:meal_patterns) do
      own.(self, :meal_patterns)
      what.(self, :meal_patterns)
      String :name, null: false
      Integer :weekday, null: false
      constraint(:meal_patterns_weekday, weekday: 0..6)
      index %i[household_id weekday meal], unique: true, name: :meal_patterns_once, where: { archived_at: nil }
    end
    create_table(:plan_spans) do
      own.(self, :plan_spans)
      String :name, null: false
      String :kind, null: false
      Date :from_on, null: false
      Date :to_on, null: false
      column :trips, :jsonb, null: false, default: "[]"
      column :rules, :jsonb, null: false, default: "{}"
      constraint(:plan_spans_kind_known, kind: %w[days eat_down])
      constraint(:plan_spans_ordered, Sequel.lit("from_on <= to_on AND to_on - from_on <= 92"))
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

  down do
    made.each { |table| drop_table(table) }
    run "DELETE FROM meals WHERE kind <> 'cook' OR on_date IS NULL"
    alter_table(:meals) do
      drop_index %i[household_id from_meal_id], name: :meals_by_cook
      %i[meals_kind_known meals_dish_of_cooks meals_leftovers_of_one meals_portions_of_one meals_from_same_household
         meals_lot_same_household].each { |name| drop_constraint name }
      %i[kind from_meal_id lot_id pinned choices note version].each { |name| drop_column name }
      set_column_not_null :recipe_id
      set_column_not_null :on_date
    end
  end
end
