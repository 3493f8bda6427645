# frozen_string_literal: true

# What is to be bottled and dried at the next harvest, and what was planned for it.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"

  up do
    create_table(:season_lines) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :season_lines_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :season_lines_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      String :process, null: false
      String :cut, null: false
      column :food_ids, "bigint[]", null: false, default: Sequel.lit("'{}'")
      column :weekly, "numeric(12,3)"
      Date :harvest_on, null: false
      Date :next_harvest_on, null: false
      Integer :margin_percent, null: false, default: 0
      Integer :pot_jars
      Integer :trays
      Integer :tray_dm2
      Integer :day_hours
      String :get_by, null: false, default: ""
      String :note, null: false, default: ""
      Date :planned_on, null: false
      column :target, "numeric(12,3)", null: false, default: 0
      column :target_jars, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      column :done_before, "numeric(12,3)", null: false, default: 0
      unique %i[household_id id], name: :season_lines_of_household
      index %i[household_id process cut], name: :season_lines_by_cut
      constraint(:season_lines_process, process: %w[drying bottling])
      constraint(:season_lines_get_by, get_by: ["", "grow", "buy"])
      constraint(:season_lines_in_order, Sequel.lit("next_harvest_on > harvest_on"))
      constraint(
        :season_lines_sane,
        Sequel.lit(
          "(weekly IS NULL OR weekly > 0) AND margin_percent BETWEEN 0 AND 200 AND target >= 0 AND done_before >= 0 " \
          "AND (pot_jars IS NULL OR pot_jars > 0) AND (trays IS NULL OR trays > 0) AND " \
          "(tray_dm2 IS NULL OR tray_dm2 > 0) AND (day_hours IS NULL OR day_hours BETWEEN 1 AND 24)"
        )
      )
    end
    run "ALTER TABLE season_lines ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON season_lines USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON season_lines TO #{role}"
    run "CREATE TRIGGER season_lines_topic AFTER INSERT OR UPDATE OR DELETE ON season_lines FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
  end

  down { drop_table(:season_lines) }
end
