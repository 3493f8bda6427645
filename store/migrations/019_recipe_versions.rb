# frozen_string_literal: true

# A dish is never changed: a further version follows it, so that what was cooked stays what it was. What may stand in
# for an ingredient is a food of the household, not a word.
Sequel.migration do
  role = "nut_shelf_app"
  kept = %i[recipes recipe_lines recipe_substitutes]

  up do
    alter_table(:recipes) do
      add_column :version, Integer, null: false, default: 1
      add_column :follows_id, :bigint
      add_foreign_key %i[household_id follows_id],
        :recipes,
        key: %i[household_id id],
        name: :recipes_follows_same_household
      drop_index :key, name: :recipes_key_once
      add_index %i[household_id key version], unique: true, name: :recipes_version_once
      add_index %i[household_id follows_id], unique: true, name: :recipes_followed_once
    end
    alter_table(:recipe_lines) { add_unique_constraint %i[household_id id], name: :recipe_lines_of_household }
    create_table(:recipe_substitutes) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :recipe_substitutes_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :recipe_substitutes_household
      column :line_id, :bigint, null: false
      column :food_id, :bigint, null: false
      column :factor, "numeric(12,6)", null: false
      unique %i[line_id food_id household_id], name: :recipe_substitutes_once
      foreign_key %i[household_id line_id],
        :recipe_lines,
        key: %i[household_id id],
        name: :substitutes_line_same_household
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :substitutes_food_same_household
      constraint(:recipe_substitutes_factor_positive, Sequel.lit("factor > 0"))
    end
    run <<~SQL
      INSERT INTO recipe_substitutes (household_id, line_id, food_id, factor)
        SELECT lines.household_id, lines.id, foods.id, said.value::numeric
          FROM recipe_lines lines CROSS JOIN LATERAL jsonb_each_text(lines.substitutes) said
          JOIN foods ON foods.household_id = lines.household_id AND coalesce(foods.reference_key, foods.key) = said.key
         ORDER BY lines.id, foods.id;
    SQL
    alter_table(:recipe_lines) { drop_column :substitutes }
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    run "ALTER TABLE recipe_substitutes ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON recipe_substitutes USING (household_id = #{current}) WITH CHECK " \
        "(household_id = #{current})"
    run "GRANT SELECT, INSERT ON recipe_substitutes TO #{role}"
    run "CREATE TRIGGER recipe_substitutes_topic AFTER INSERT OR UPDATE OR DELETE ON recipe_substitutes FOR EACH " \
        "STATEMENT WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('plan')"
    kept.each do |table|
      run "REVOKE UPDATE ON #{table} FROM #{role}"
      run "CREATE TRIGGER #{table}_append_only BEFORE UPDATE OR DELETE ON #{table} FOR EACH ROW EXECUTE FUNCTION " \
          "refuse_change()"
    end
  end

  down do
    kept.each { |table| run "DROP TRIGGER #{table}_append_only ON #{table}" }
    run "GRANT UPDATE ON recipes, recipe_lines TO #{role}"
    alter_table(:recipe_lines) { add_column :substitutes, :jsonb, null: false, default: "{}" }
    run <<~SQL
      UPDATE recipe_lines SET substitutes = said.list
        FROM (SELECT line_id, jsonb_object_agg(coalesce(foods.reference_key, foods.key), factor::text) AS list
                FROM recipe_substitutes JOIN foods ON foods.id = food_id GROUP BY line_id) said
       WHERE said.line_id = recipe_lines.id;
    SQL
    drop_table(:recipe_substitutes)
    alter_table(:recipe_lines) { drop_constraint :recipe_lines_of_household }
    # Where there are several versions, the first keeps the name of the dish.
    run "UPDATE recipes SET key = key || '-' || version WHERE version > 1"
    alter_table(:recipes) do
      drop_index %i[household_id follows_id], name: :recipes_followed_once
      drop_index %i[household_id key version], name: :recipes_version_once
      add_index %i[household_id key], unique: true, name: :recipes_key_once
      drop_column :follows_id
      drop_column :version
    end
  end
end
