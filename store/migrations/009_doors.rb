# frozen_string_literal: true

# Who may undo what, sessions that end, and secrets that live as hashes only.
Sequel.migration do
  role = "nut_shelf_app"
  keeper_kinds = %w[
    add_person change_person add_place change_place remove_place set_food set_household set_keeping drop_keeping
    import clear invite
  ]

  up do
    # The role of whoever did it: a helper undoes what helpers did.
    add_column :acts, :role, String, null: false, default: "keeper"
    run <<~SQL
      ALTER TABLE acts DISABLE TRIGGER USER;
      UPDATE acts SET role = 'helper' FROM memberships
       WHERE memberships.account_id = acts.account_id AND memberships.household_id = acts.household_id AND memberships.role = 'helper'
         AND acts.kind NOT IN (#{keeper_kinds.map { |kind| "'#{kind}'" }.join(", ")});
      ALTER TABLE acts ENABLE TRIGGER USER;
    SQL
    alter_table(:acts) { add_constraint :acts_role_known, role: %w[keeper helper] }

    create_table(:account_active_session_keys) do
      foreign_key :account_id,
        :accounts,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :active_sessions_account
      String :session_id, null: false
      column :created_at, :timestamptz, null: false, default: Sequel.lit("now()")
      column :last_use, :timestamptz, null: false, default: Sequel.lit("now()")
      primary_key %i[account_id session_id], name: :account_active_session_keys_pk
    end
    run "GRANT SELECT, INSERT, UPDATE, DELETE ON account_active_session_keys TO #{role}"

    # Answers of old requests may hold one-time links in clear.
    run "DELETE FROM stored_requests WHERE answer LIKE '%/join#%' OR answer LIKE '%/api/calendar/%'"
    run "CREATE INDEX stored_requests_by_age ON stored_requests (stored_at)"
    alter_table(:calendar_feeds) { add_index %i[account_id household_id], name: :calendar_feeds_by_account }
  end

  down do
    alter_table(:calendar_feeds) { drop_index %i[account_id household_id], name: :calendar_feeds_by_account }
    run "DROP INDEX stored_requests_by_age"
    drop_table(:account_active_session_keys)
    alter_table(:acts) { drop_constraint :acts_role_known }
    drop_column :acts, :role
  end
end
