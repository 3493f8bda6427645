# frozen_string_literal: true

# What a dish looks like, as somebody photographed it.
Sequel.migration do
  up do
    create_table(:dish_photos) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :dish_photos_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :dish_photos_household
      column :dish_id, :bigint, null: false
      String :media_type, null: false
      column :bytes, :bytea, null: false
      column :taken_at, :timestamptz, null: false, default: Sequel.lit("now()")
      column :archived_at, :timestamptz
      unique %i[household_id id], name: :dish_photos_of_household
      index %i[household_id dish_id], name: :dish_photos_by_dish
      foreign_key %i[household_id dish_id], :dishes, key: %i[household_id id], name: :dish_photos_dish_same_household
      constraint(:dish_photos_kind, media_type: %w[image/jpeg image/png image/webp])
    end
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    run "ALTER TABLE dish_photos ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON dish_photos USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON dish_photos TO nut_shelf_app"
    run "CREATE TRIGGER dish_photos_topic AFTER INSERT OR UPDATE OR DELETE ON dish_photos FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
  end

  down { drop_table(:dish_photos) }
end
