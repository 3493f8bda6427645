# frozen_string_literal: true

# Kits: what people and animals need without shops, power or water, the boxes it stands in, the hour of an event and
# what was done before it, and power cuts with their readings.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
  topics = { pets: "people", kits: "plan", events: "plan", outages: "plan" }

  up do
    alter_table(:people) do
      add_column :born_on, Date
      add_column :age, Integer
      add_column :age_on, Date
      add_column :sex, String
      add_column :kg, "numeric(6,2)"
      add_column :activity, String
      add_column :pregnant, TrueClass, null: false, default: false
      add_column :nursing, TrueClass, null: false, default: false
      add_column :formula_fed, TrueClass, null: false, default: false
      add_column :dislikes, "text[]", null: false, default: Sequel.lit("'{}'")
      add_constraint :people_age_sane, Sequel.lit("age IS NULL OR (age BETWEEN 0 AND 130 AND age_on IS NOT NULL)")
      add_constraint :people_kg_sane, Sequel.lit("kg IS NULL OR kg BETWEEN 1 AND 400")
      add_constraint :people_sex_known, Sequel.lit("sex IS NULL OR sex IN ('woman', 'man')")
      add_constraint :people_activity_known,
        Sequel.lit("activity IS NULL OR activity IN ('rest', 'light', 'hiking', 'hard')")
    end

    create_table(:pets) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :pets_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :pets_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :name, null: false
      String :species, null: false
      column :kg, "numeric(6,2)"
      unique %i[household_id id], name: :pets_of_household
      constraint(:pets_named, Sequel.lit("name <> '' AND species <> ''"))
      constraint(:pets_kg_sane, Sequel.lit("kg IS NULL OR kg > 0"))
    end

    create_table(:kits) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :kits_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :kits_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :name, null: false
      String :school, null: false, default: "set_apart"
      Integer :days, null: false
      String :level, null: false, default: "usual"
      String :activity, null: false, default: "light"
      TrueClass :hot, null: false, default: false
      TrueClass :no_power, null: false, default: true
      TrueClass :no_water, null: false, default: true
      TrueClass :may_leave, null: false, default: false
      String :gear, null: false, default: "burner"
      String :fuel_row, null: false, default: "fuel-gas-canister-mild"
      column :fuel_amount, "numeric(10,3)", null: false, default: 0
      column :canister, "numeric(10,3)"
      TrueClass :hot_drinks, null: false, default: true
      String :water_basis, null: false, default: "drink-light-hygiene"
      column :refresh_days, "text[]", null: false, default: Sequel.lit("'{10-01}'")
      Integer :margin_days, null: false, default: 30
      Integer :budget_minor, null: false, default: 0
      column :people, "bigint[]"
      column :pets, "bigint[]"
      TrueClass :count_disliked, null: false, default: false
      column :given_up, "text[]", null: false, default: Sequel.lit("'{}'")
      Integer :box_ml, null: false, default: 30_000
      Integer :box_tare_g, null: false, default: 1500
      Integer :carry_g, null: false, default: 12_000
      Integer :carriers, null: false, default: 1
      Date :refreshed_on
      unique %i[household_id id], name: :kits_of_household
      constraint(:kits_named, Sequel.lit("name <> ''"))
      constraint(:kits_school, school: %w[set_apart deep_pantry])
      constraint(:kits_days, Sequel.lit("days BETWEEN 1 AND 365"))
      constraint(:kits_level, level: %w[low usual high])
      constraint(:kits_activity, activity: %w[rest light hiking hard])
      constraint(:kits_gear, gear: %w[none kettle burner full])
      constraint(:kits_basis, water_basis: %w[drink-cook drink-light-hygiene comfortable])
      constraint(:kits_amounts, Sequel.lit("fuel_amount >= 0 AND (canister IS NULL OR canister > 0) AND " \
                                           "margin_days BETWEEN 0 AND 365 AND budget_minor >= 0"))
      constraint(:kits_boxes, Sequel.lit("box_ml > 0 AND box_tare_g >= 0 AND carry_g > box_tare_g AND carriers > 0"))
      constraint(:kits_refreshed, Sequel.lit("cardinality(refresh_days) BETWEEN 1 AND 12"))
    end

    create_table(:events) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :events_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :events_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :name, null: false
      column :hour, :timestamptz, null: false
      column :fill_l, "numeric(8,2)", null: false, default: 0
      column :flush_l, "numeric(8,2)", null: false, default: 0
      Integer :helpers, null: false, default: 1
      Integer :days, null: false, default: 3
      column :has, "text[]", null: false, default: Sequel.lit("'{}'")
      column :ticked, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      unique %i[household_id id], name: :events_of_household
      constraint(:events_named, Sequel.lit("name <> ''"))
      constraint(:events_sane, Sequel.lit("fill_l >= 0 AND flush_l >= 0 AND helpers BETWEEN 1 AND 20 AND days > 0"))
    end

    create_table(:outages) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :outages_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :outages_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      column :started_at, :timestamptz, null: false
      column :ended_at, :timestamptz
      column :freezer_fill, "numeric(4,3)", null: false, default: 1
      column :readings, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      column :stood, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      column :findings, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      Date :settled_on
      unique %i[household_id id], name: :outages_of_household
      constraint(:outages_in_order, Sequel.lit("ended_at IS NULL OR ended_at >= started_at"))
      constraint(:outages_fill, Sequel.lit("freezer_fill BETWEEN 0 AND 1"))
    end

    alter_table(:places) do
      add_column :kit_id, :bigint
      add_column :kit_box, Integer
      add_foreign_key %i[household_id kit_id], :kits, key: %i[household_id id], name: :places_kit_same_household
      add_constraint :places_box_of_kit, Sequel.lit("kit_box IS NULL OR (kit_id IS NOT NULL AND kit_box > 0)")
      add_index :kit_id, name: :places_by_kit, where: Sequel.lit("kit_id IS NOT NULL")
    end
    alter_table(:reservations) do
      add_column :kit_id, :bigint
      add_foreign_key %i[household_id kit_id], :kits, key: %i[household_id id], name: :reservations_kit_same_household
      add_index :kit_id, name: :reservations_by_kit, where: Sequel.lit("kit_id IS NOT NULL")
    end
    openings = "opening IS NULL OR opening IN ('ring', 'opener', 'key', 'screw', 'tear', 'cut')"
    alter_table(:lots) do
      add_column :opening, String
      add_constraint :lots_opening_known, Sequel.lit(openings)
    end
    alter_table(:packs) do
      add_column :opening, String
      add_constraint :packs_opening_known, Sequel.lit(openings)
    end

    run "GRANT INSERT (opening), UPDATE (opening) ON lots TO #{role}"

    topics.each do |table, topic|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "GRANT SELECT, INSERT, UPDATE ON #{table} TO #{role}"
      run "CREATE TRIGGER #{table}_topic AFTER INSERT OR UPDATE OR DELETE ON #{table} FOR EACH STATEMENT " \
          "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('#{topic}')"
    end
  end

  down do
    alter_table(:packs) { drop_column :opening }
    alter_table(:lots) { drop_column :opening }
    alter_table(:reservations) { drop_column :kit_id }
    alter_table(:places) do
      drop_column :kit_box
      drop_column :kit_id
    end
    topics.keys.reverse.each { |table| drop_table(table) }
    alter_table(:people) do
      %i[born_on age age_on sex kg activity pregnant nursing formula_fed dislikes].each { |name| drop_column name }
    end
  end
end
