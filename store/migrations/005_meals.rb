# frozen_string_literal: true

# Dishes, and the meals they are put on.
Sequel.migration do
  change do
    create_table(:recipes) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :recipes_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :recipes_household
      String :key, null: false
      String :name, null: false
      String :meal, null: false
      Integer :servings, null: false
      Integer :active_minutes, null: false
      Integer :total_minutes, null: false
      column :gear, "text[]", null: false
      Integer :leftover_days, null: false
      TrueClass :freezes, null: false
      column :steps, "text[]", null: false
      column :tags, "text[]", null: false
      unique %i[household_id id], name: :recipes_of_household
      index %i[household_id key], unique: true, name: :recipes_key_once
    end
    create_table(:recipe_lines) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :recipe_lines_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :recipe_lines_household
      column :recipe_id, :bigint, null: false
      column :food_id, :bigint, null: false
      column :amount, "numeric(20,6)", null: false
      String :dimension, null: false
      TrueClass :optional, null: false
      column :substitutes, :jsonb, null: false, default: "{}"
      String :note, null: false, default: ""
      index %i[recipe_id household_id], name: :recipe_lines_by_recipe
      foreign_key %i[household_id recipe_id], :recipes, key: %i[household_id id], name: :lines_recipe_same_household
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :lines_food_same_household
    end
    create_table(:meals) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :meals_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :meals_household
      Date :on_date, null: false
      String :meal, null: false
      column :recipe_id, :bigint, null: false
      column :servings, "numeric(8,3)", null: false
      String :status, null: false, default: "planned"
      unique %i[household_id id], name: :meals_of_household
      index %i[household_id on_date], name: :meals_by_day
      foreign_key %i[household_id recipe_id], :recipes, key: %i[household_id id], name: :meals_recipe_same_household
      constraint(:meals_meal_known, meal: %w[breakfast lunch dinner snack])
      constraint(:meals_status_known, status: %w[planned cooked dropped])
      constraint(:meals_servings_positive, Sequel.lit("servings > 0"))
    end
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
  end
end
