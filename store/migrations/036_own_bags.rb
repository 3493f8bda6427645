# frozen_string_literal: true

# Bags that a household put together itself, to be filled again and taken along.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"

  up do
    create_table(:own_bags) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :own_bags_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :own_bags_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :key, null: false
      String :name, null: false
      String :meal, null: false
      Integer :water_ml, null: false, default: 0
      String :water_heat, null: false, default: "none"
      Integer :stand_minutes, null: false, default: 0
      String :eat_from, null: false, default: "bag"
      String :packaging, null: false
      String :closing, null: false, default: "airtight"
      String :directions, null: false, default: ""
      column :lines, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      unique %i[household_id id], name: :own_bags_of_household
      unique %i[household_id key], name: :own_bags_key
      constraint(:own_bags_meal, meal: %w[breakfast lunch snack dinner])
      constraint(:own_bags_heat, water_heat: %w[none cold boil])
      constraint(:own_bags_from, eat_from: %w[bag cup pot])
      constraint(:own_bags_closing, closing: %w[airtight low_air])
      constraint(:own_bags_sane, Sequel.lit("water_ml BETWEEN 0 AND 5000 AND stand_minutes BETWEEN 0 AND 1440"))
    end
    run "ALTER TABLE own_bags ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON own_bags USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON own_bags TO #{role}"
    run "CREATE TRIGGER own_bags_topic AFTER INSERT OR UPDATE OR DELETE ON own_bags FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
  end

  down { drop_table(:own_bags) }
end
