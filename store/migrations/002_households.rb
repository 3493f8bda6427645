# frozen_string_literal: true

# Households, who belongs to them, who eats there, and where things stand.
Sequel.migration do
  change do
    create_table(:households) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :households_pk
      String :name, null: false
      String :time_zone, null: false, default: "UTC"
      String :currency, null: false, fixed: true, size: 3, default: "EUR"
      String :day_order, null: false, default: "dmy"
      String :school, null: false, default: "look_then_decide"
      column :settings, :jsonb, null: false, default: "{}"
      column :revision, :bigint, null: false, default: 0
      constraint(:households_day_order_known, day_order: %w[dmy mdy])
      constraint(:households_school_known, school: %w[look_then_decide by_the_date])
      constraint(:households_name_said, Sequel.lit("length(btrim(name)) between 1 and 120"))
    end
    create_table(:memberships) do
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :memberships_account
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :memberships_household
      String :role, null: false
      primary_key %i[account_id household_id], name: :memberships_pk
      constraint(:memberships_role_known, role: %w[keeper helper])
    end
    create_table(:people) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :people_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :people_household
      String :name, null: false
      column :portion_factor, "numeric(6,3)", null: false, default: 1
      TrueClass :strict, null: false, default: false
      TrueClass :eats, null: false, default: true
      unique %i[household_id id], name: :people_of_household
      constraint(:people_factor_sane, Sequel.lit("portion_factor between 0 and 5"))
    end
    create_table(:places) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :places_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :places_household
      column :parent_id, :bigint
      column :name, :citext, null: false
      String :kind, null: false
      String :tier, null: false, default: "working"
      Integer :low_c
      Integer :high_c
      Integer :position, null: false, default: 0
      Integer :version, null: false, default: 1
      unique %i[household_id id], name: :places_of_household
      column :archived_at, :timestamptz
      index %i[household_id name], unique: true, name: :places_name_once, where: Sequel.lit("archived_at is null")
      foreign_key %i[household_id parent_id], :places, key: %i[household_id id], name: :places_parent_same_household
      constraint(:places_kind_known, kind: %w[cupboard cool_dark fridge freezer])
      constraint(:places_tier_known, tier: %w[working backstock set_apart])
      constraint(:places_not_own_parent, Sequel.lit("parent_id is null or parent_id <> id"))
      constraint(:places_range_ordered, Sequel.lit("low_c is null or high_c is null or low_c <= high_c"))
    end
  end
end
