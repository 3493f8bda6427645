# frozen_string_literal: true

# What is to stand in a box of a car or a camper: so many packs of a food.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"

  up do
    create_table(:box_wants) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :box_wants_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :box_wants_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      column :place_id, :bigint, null: false
      column :food_id, :bigint, null: false
      Integer :packs, null: false
      unique %i[household_id id], name: :box_wants_of_household
      foreign_key %i[household_id place_id], :places, key: %i[household_id id], name: :box_wants_place_same_household
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :box_wants_food_same_household
      index %i[household_id place_id], name: :box_wants_by_place
      constraint(:box_wants_some, Sequel.lit("packs BETWEEN 1 AND 999"))
    end
    run "ALTER TABLE box_wants ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON box_wants USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON box_wants TO #{role}"
    run "CREATE TRIGGER box_wants_topic AFTER INSERT OR UPDATE OR DELETE ON box_wants FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
  end

  down { drop_table(:box_wants) }
end
