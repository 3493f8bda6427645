# frozen_string_literal: true

# What was advised about a food and what the household answered, so that it can be looked at later whether it helped;
# the largest pack somebody wants of a food, and what is frozen as it comes home.
Sequel.migration do
  role = "nut_shelf_app"

  up do
    create_table(:advice_answers) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :advice_answers_pk
      foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :advice_answers_household
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      column :food_id, :bigint, null: false
      String :kind, null: false
      String :answer, null: false
      Date :on_date, null: false
      column :saving_minor, :bigint, null: false
      unique %i[household_id id], name: :advice_answers_of_household
      constraint(:advice_answers_kind, kind: %w[freeze smaller_pack lower_par place dish stop])
      constraint(:advice_answers_answer, answer: %w[taken declined])
      constraint(:advice_answers_saving, Sequel.lit("saving_minor >= 0"))
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :advice_answers_food_same_household
      index %i[household_id food_id], name: :advice_answers_by_food
    end
    alter_table(:wants) do
      add_column :largest, "numeric(20,6)"
      add_column :freeze, TrueClass, null: false, default: false
      add_constraint :wants_largest, Sequel.lit("largest IS NULL OR largest > 0")
    end
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    run "ALTER TABLE advice_answers ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON advice_answers USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON advice_answers TO #{role}"
    run "CREATE TRIGGER advice_answers_topic AFTER INSERT OR UPDATE OR DELETE ON advice_answers FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('list')"
  end

  down do
    drop_table(:advice_answers)
    alter_table(:wants) do
      drop_constraint :wants_largest
      drop_column :largest
      drop_column :freeze
    end
  end
end
