# frozen_string_literal: true

# A household writes dishes of its own, and its own versions of the shipped ones. `dishes` points at the version in
# force of each, so that a change is taken back by pointing at the one before; what was written stays as it was cooked.
# A line that was matched to no food is kept as words, in its place.
Sequel.migration do
  role = "nut_shelf_app"
  current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
  made = %i[dishes recipe_texts]

  up do
    alter_table(:recipes) do
      drop_index %i[household_id follows_id], name: :recipes_followed_once
      add_column :own, :boolean, null: false, default: false
      add_column :notes, String, null: false, default: ""
      add_column :source, String, null: false, default: ""
      add_constraint(:recipes_meal_known, meal: %w[breakfast lunch dinner snack])
      add_constraint(:recipes_servings, servings: 1..500)
      add_constraint(:recipes_minutes, Sequel.lit("active_minutes >= 0 AND total_minutes BETWEEN 0 AND 10080"))
      add_constraint(:recipes_leftover_days, leftover_days: 0..60)
    end
    alter_table(:recipe_lines) do
      add_column :text, String, null: false, default: ""
      add_column :position, Integer, null: false, default: 0
    end
    own = lambda do |table, name|
      table.primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :"#{name}_pk"
      table.foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :"#{name}_household"
      table.unique %i[household_id id], name: :"#{name}_of_household"
      table.foreign_key %i[household_id recipe_id], :recipes, key: %i[household_id id],
        name: :"#{name}_recipe_same_household"
    end
    create_table(:recipe_texts) do
      column :recipe_id, :bigint, null: false
      own.(self, :recipe_texts)
      Integer :position, null: false
      String :text, null: false
      unique %i[household_id recipe_id position], name: :recipe_texts_once
    end
    create_table(:dishes) do
      column :recipe_id, :bigint, null: false
      own.(self, :dishes)
      String :key, null: false
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      unique %i[household_id key], name: :dishes_once
    end
    run <<~SQL
      INSERT INTO dishes (household_id, key, recipe_id)
        SELECT DISTINCT ON (household_id, key) household_id, key, id FROM recipes ORDER BY household_id, key, version DESC
    SQL
    made.each do |table|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "CREATE TRIGGER #{table}_topic AFTER INSERT OR UPDATE OR DELETE ON #{table} FOR EACH STATEMENT " \
          "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
    end
    run "GRANT SELECT, INSERT ON recipe_texts TO #{role}"
    run "GRANT SELECT, INSERT, UPDATE ON dishes TO #{role}"
    run "CREATE TRIGGER recipe_texts_append_only BEFORE UPDATE OR DELETE ON recipe_texts FOR EACH ROW EXECUTE " \
        "FUNCTION refuse_change()"
  end

  down do
    made.each { |table| drop_table(table) }
    alter_table(:recipe_lines) { %i[text position].each { |name| drop_column name } }
    alter_table(:recipes) do
      %i[recipes_meal_known recipes_servings recipes_minutes recipes_leftover_days].each { |name| drop_constraint name }
      %i[own notes source].each { |name| drop_column name }
      add_index %i[household_id follows_id], unique: true, name: :recipes_followed_once
    end
  end
end
