# frozen_string_literal: true

# What there is to eat: foods, the packs they are sold in, what packs cost, and the household's own keeping times.
Sequel.migration do
  up do
    create_table(:foods) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :foods_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :foods_household
      String :key, null: false
      column :name, :citext, null: false
      String :reference_key
      String :class_key
      String :aisle, null: false
      String :food_group, null: false
      String :dimension, null: false
      column :g_per_ml, "numeric(12,6)"
      column :g_per_piece, "numeric(12,6)"
      TrueClass :kept_by_level, null: false, default: false
      column :nicknames, "text[]", null: false, default: Sequel.lit("'{}'")
      String :search_text, null: false, default: ""
      column :archived_at, :timestamptz
      column :merged_into_id, :bigint
      Integer :version, null: false, default: 1
      unique %i[household_id id], name: :foods_of_household
      index %i[household_id key], unique: true, name: :foods_key_once
      foreign_key %i[household_id merged_into_id], :foods, key: %i[household_id id], name: :foods_merged_same_household
      constraint(:foods_dimension_known, dimension: %w[mass volume count])
    end
    run "CREATE INDEX foods_search ON foods USING gin (search_text gin_trgm_ops)"
    create_table(:packs) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :packs_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :packs_household
      column :food_id, :bigint, null: false
      column :amount, "numeric(20,6)", null: false
      String :dimension, null: false
      String :noun, null: false, default: ""
      unique %i[household_id id], name: :packs_of_household
      index %i[household_id food_id amount dimension noun], unique: true, name: :packs_once
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :packs_food_same_household
      constraint(:packs_amount_positive, Sequel.lit("amount > 0"))
      constraint(:packs_dimension_known, dimension: %w[mass volume count])
    end
    create_table(:pack_barcodes) do
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :barcodes_household
      String :code, null: false
      column :pack_id, :bigint, null: false
      primary_key %i[household_id code], name: :pack_barcodes_pk
      foreign_key %i[household_id pack_id], :packs, key: %i[household_id id], name: :barcodes_pack_same_household
      constraint(:barcodes_digits, Sequel.lit("code ~ '^[0-9]{8,14}$'"))
    end
    create_table(:keeping_rules) do
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :keeping_rules_household
      String :scope, null: false
      String :place, null: false
      String :state, null: false
      Integer :low, null: false
      Integer :high, null: false
      String :kind, null: false
      String :reason, null: false
      primary_key %i[household_id scope place state], name: :keeping_rules_pk
      constraint(:keeping_rules_ordered, Sequel.lit("low between 0 and high"))
      constraint(:keeping_rules_kind_known, kind: %w[safety quality])
    end
  end

  down { drop_table(:keeping_rules, :pack_barcodes, :packs, :foods) }
end
