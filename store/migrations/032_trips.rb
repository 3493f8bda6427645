# frozen_string_literal: true

# Trips: who goes when with what gear, and what is eaten on the way.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"

  up do
    create_table(:trips) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :trips_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :trips_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :name, null: false
      String :status, null: false, default: "planned"
      Date :leaves_on, null: false
      Integer :leaves_hour, null: false, default: 8
      String :first_meal, null: false, default: "lunch"
      Date :back_on, null: false
      String :last_meal, null: false, default: "lunch"
      column :people, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      column :days, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      column :gear, "text[]", null: false, default: Sequel.lit("'{burner}'")
      Integer :pots, null: false, default: 1
      Integer :pot_ml, null: false, default: 1500
      String :cold, null: false, default: "none"
      Integer :high_c, null: false, default: 20
      column :temps, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      TrueClass :no_tins, null: false, default: true
      TrueClass :no_glass, null: false, default: true
      column :sources, "text[]", null: false, default: Sequel.lit("'{}'")
      column :containers_ml, "bigint[]", null: false, default: Sequel.lit("'{}'")
      Integer :spare_days, null: false, default: 0
      Integer :canister_g, null: false, default: 230
      Integer :gas_left_g, null: false, default: 0
      column :eaten_kcal, "numeric(12,3)"
      column :planned_kcal, "numeric(12,3)"
      column :ticked, "text[]", null: false, default: Sequel.lit("'{}'")
      column :came_back, "text[]", null: false, default: Sequel.lit("'{}'")
      unique %i[household_id id], name: :trips_of_household
      constraint(:trips_named, Sequel.lit("name <> ''"))
      constraint(:trips_status, status: %w[planned packed away home])
      constraint(:trips_in_order, Sequel.lit("back_on >= leaves_on AND back_on - leaves_on <= 60"))
      constraint(
        :trips_sane,
        Sequel.lit(
          "leaves_hour BETWEEN 0 AND 23 AND pots BETWEEN 0 AND 10 AND pot_ml BETWEEN 100 AND 20000 AND " \
          "high_c BETWEEN -30 AND 60 AND spare_days BETWEEN 0 AND 14 AND canister_g > 0 AND gas_left_g >= 0"
        )
      )
    end

    create_table(:trip_meals) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :trip_meals_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :trip_meals_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      column :trip_id, :bigint, null: false
      Date :on_date, null: false
      String :meal, null: false
      String :kind, null: false
      String :dish, null: false
      column :grams, "numeric(10,3)"
      TrueClass :pinned, null: false, default: false
      unique %i[household_id id], name: :trip_meals_of_household
      foreign_key %i[household_id trip_id], :trips, key: %i[household_id id], name: :trip_meals_trip_same_household
      index %i[household_id trip_id], name: :trip_meals_by_trip
      constraint(:trip_meals_meal, meal: %w[breakfast lunch snack dinner])
      constraint(:trip_meals_kind, kind: %w[recipe bag food])
      constraint(:trip_meals_grams, Sequel.lit("(kind = 'food') = (grams IS NOT NULL AND grams > 0)"))
    end

    alter_table(:reservations) do
      add_column :trip_id, :bigint
      add_foreign_key %i[household_id trip_id], :trips, key: %i[household_id id],
        name: :reservations_trip_same_household
      add_index :trip_id, name: :reservations_by_trip, where: Sequel.lit("trip_id IS NOT NULL")
    end

    %i[trips trip_meals].each do |table|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "GRANT SELECT, INSERT, UPDATE ON #{table} TO #{role}"
      run "CREATE TRIGGER #{table}_topic AFTER INSERT OR UPDATE OR DELETE ON #{table} FOR EACH STATEMENT " \
          "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
    end
  end

  down do
    alter_table(:reservations) { drop_column :trip_id }
    drop_table(:trip_meals)
    drop_table(:trips)
  end
end
