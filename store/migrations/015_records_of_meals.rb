# frozen_string_literal: true

# Meals are records as places and people are: what acts did to them stands with the other records. What an act made
# under an id of its own (a place, a food) is told there too, so that one way of taking back does for all of them.
Sequel.migration do
  role = "nut_shelf_app"

  up do
    run <<~SQL
      INSERT INTO record_events (household_id, act_id, record, record_id, before, after)
        SELECT household_id, act_id, 'meal', meal_id, before, after FROM meal_events ORDER BY id;
      INSERT INTO record_events (household_id, act_id, record, record_id, before, after)
        SELECT household_id, id, CASE kind WHEN 'add_place' THEN 'place' ELSE 'food' END, subject_id, '{}', '{}'
          FROM acts WHERE kind IN ('add_place', 'add_food') AND subject_id IS NOT NULL ORDER BY id;
    SQL
    drop_table(:meal_events)
  end

  down do
    create_table(:meal_events) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :meal_events_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :meal_events_household
      column :act_id, :bigint, null: false
      column :meal_id, :bigint, null: false
      column :before, :jsonb, null: false
      column :after, :jsonb, null: false
      index %i[act_id household_id], name: :meal_events_by_act
      index %i[meal_id household_id], name: :meal_events_by_meal
      foreign_key %i[household_id act_id], :acts, key: %i[household_id id], name: :meal_events_act_same_household
      foreign_key %i[household_id meal_id], :meals, key: %i[household_id id], name: :meal_events_meal_same_household
    end
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    run <<~SQL
      INSERT INTO meal_events (household_id, act_id, meal_id, before, after)
        SELECT household_id, act_id, record_id, before, after FROM record_events WHERE record = 'meal' ORDER BY id;
      ALTER TABLE record_events DISABLE TRIGGER USER;
      DELETE FROM record_events USING acts
        WHERE acts.id = record_events.act_id
          AND (record = 'meal' OR (acts.kind = 'add_place' AND record = 'place') OR (acts.kind = 'add_food' AND record = 'food'));
      ALTER TABLE record_events ENABLE TRIGGER USER;
      ALTER TABLE meal_events ENABLE ROW LEVEL SECURITY;
      CREATE POLICY household_wall ON meal_events USING (household_id = #{current}) WITH CHECK (household_id = #{current});
      GRANT SELECT, INSERT ON meal_events TO #{role};
    SQL
  end
end
