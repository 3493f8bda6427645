# frozen_string_literal: true

# Batches that are frozen, dried or bottled at home: what went in and came out, how long it took, after whose recipe, so
# that the next one starts from one's own figures.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"

  up do
    create_table(:batches) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :batches_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :batches_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :process, null: false
      String :cut, null: false, default: ""
      column :food_id, :bigint, null: false
      column :lot_id, :bigint, null: false
      column :reservation_id, :bigint
      String :status, null: false, default: "going"
      Date :begun_on, null: false
      Date :finished_on
      column :in_g, "numeric(12,6)", null: false
      column :out_g, "numeric(12,6)"
      Integer :value_minor, null: false, default: 0
      column :hours, "numeric(6,2)", null: false, default: 0
      Integer :trays
      Integer :temp_c
      Integer :heated_c
      String :source, null: false, default: ""
      String :note, null: false, default: ""
      column :ticked, "bigint[]", null: false, default: Sequel.lit("'{}'")
      column :jars, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      unique %i[household_id id], name: :batches_of_household
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :batches_food_same_household
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :batches_lot_same_household
      index %i[household_id process cut], name: :batches_by_process
      constraint(:batches_process_known, process: %w[freezing drying bottling])
      constraint(:batches_status_known, status: %w[going finished])
      constraint(
        :batches_sane,
        Sequel.lit(
          "in_g > 0 AND (out_g IS NULL OR out_g > 0) AND hours >= 0 AND (trays IS NULL OR trays > 0) AND " \
          "(finished_on IS NULL OR finished_on >= begun_on) AND (status = 'going') = (finished_on IS NULL)"
        )
      )
    end
    run "ALTER TABLE batches ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON batches USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON batches TO #{role}"
    run "CREATE TRIGGER batches_topic AFTER INSERT OR UPDATE OR DELETE ON batches FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
  end

  down { drop_table(:batches) }
end
