# frozen_string_literal: true

# Who may sign in. These tables are Rodauth's and stand outside the household wall.
Sequel.migration do
  up do
    run "CREATE EXTENSION IF NOT EXISTS citext"
    run "CREATE EXTENSION IF NOT EXISTS pg_trgm"
    create_table(:accounts) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :accounts_pk
      Integer :status_id, null: false, default: 2
      column :email, :citext, null: false
      String :name, null: false, default: ""
      String :password_hash
      index :email, unique: true, name: :accounts_email_once
    end
    create_table(:account_login_failures) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true, foreign_key_constraint_name: :login_failures_account
      Integer :number, null: false, default: 1
    end
    create_table(:account_lockouts) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true, foreign_key_constraint_name: :lockouts_account
      String :key, null: false
      column :deadline, :timestamptz, null: false, default: Sequel.lit("now() + interval '1 hour'")
      column :email_last_sent, :timestamptz
    end
    create_table(:account_remember_keys) do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true, foreign_key_constraint_name: :remember_keys_account
      String :key, null: false
      column :deadline, :timestamptz, null: false, default: Sequel.lit("now() + interval '30 days'")
    end
  end

  down { drop_table(:account_remember_keys, :account_lockouts, :account_login_failures, :accounts) }
end
