# frozen_string_literal: true

# What stage two knows of a stack, a place, a jar: how it is stored, when it was seen, what stands on its label;
# counts; care; and what an act changed besides stacks, so that it can be put back.
Sequel.migration do
  role = "nut_shelf_app"
  walled = %i[
    place_photos containers counts count_lines care_rules record_events invitations calendar_feeds device_readings
  ]
  lot_columns = %i[
    method container_id lot_text directions bought_for wrapping seen_on quarantine_reason care_until care_words
  ]

  up do
    alter_table(:lots) do
      add_column :method, String
      add_column :container_id, :bigint
      add_column :lot_text, String, null: false, default: ""
      add_column :directions, String, null: false, default: ""
      add_column :bought_for, String, null: false, default: ""
      add_column :wrapping, String
      add_column :seen_on, Date
      add_column :quarantine_reason, String
      add_column :care_until, Date
      add_column :care_words, String
      add_constraint :lots_method_known, Sequel.lit("method in ('bag', 'jar', 'water', 'paper', 'vacuum')")
      add_constraint :lots_wrapping_known,
        Sequel.lit(
          "wrapping in ('tin', 'glass', 'card', 'paper', 'thin_plastic', 'plastic', 'carton', 'loose')"
        )
    end
    run "ALTER TABLE movements DROP CONSTRAINT movements_reason_known"
    alter_table(:movements) do
      add_constraint :movements_reason_known,
        reason: %w[
          bought made brought_in split eaten cooked given_away animals composted binned undone lost found corrected
        ]
    end

    alter_table(:places) do
      add_column :dark, TrueClass, null: false, default: false
      add_column :reach, String, null: false, default: "steps"
      add_column :inner_mm, "integer[]"
      add_column :fill_percent, Integer
      add_column :fill_said_on, Date
      add_column :count_every_days, Integer
      add_column :counted_on, Date
      add_column :note, String, null: false, default: ""
      add_constraint :places_reach_known, reach: %w[hand steps away]
      add_constraint :places_fill_sane, Sequel.lit("fill_percent between 0 and 100")
      add_constraint :places_rhythm_sane, Sequel.lit("count_every_days between 1 and 1000")
      add_constraint :places_inner_three,
        Sequel.lit("inner_mm is null or (array_length(inner_mm, 1) = 3 and 0 < all (inner_mm))")
    end
    alter_table(:foods) do
      add_column :working_amount, "numeric(20,6)"
      add_column :weekly_said, "numeric(20,6)"
      add_constraint :foods_working_not_negative, Sequel.lit("working_amount >= 0")
      add_constraint :foods_weekly_not_negative, Sequel.lit("weekly_said >= 0")
    end
    alter_table(:people) do
      add_column :excludes, "text[]", null: false, default: Sequel.lit("'{}'")
      add_column :note, String, null: false, default: ""
      add_column :archived_at, :timestamptz
      add_column :version, Integer, null: false, default: 1
    end
    add_column :households, :version, Integer, null: false, default: 1
    alter_table(:keeping_rules) do
      add_column :storage, String, null: false, default: ""
      add_column :removed, TrueClass, null: false, default: false
      add_column :id, :bigint, identity: :always
      drop_constraint :keeping_rules_pk, type: :primary_key
      add_primary_key [:id], name: :keeping_rules_pk
      add_unique_constraint %i[household_id scope place state storage], name: :keeping_rules_once
    end

    create_table(:place_photos) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :place_photos_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :place_photos_household
      column :place_id, :bigint, null: false
      String :media_type, null: false
      column :bytes, :bytea, null: false
      column :taken_at, :timestamptz, null: false, default: Sequel.lit("now()")
      column :archived_at, :timestamptz
      index %i[place_id household_id], name: :place_photos_by_place
      foreign_key %i[household_id place_id], :places, key: %i[household_id id], name: :place_photos_place_same_household
      constraint(:place_photos_kind, media_type: %w[image/jpeg image/png image/webp])
    end
    create_table(:containers) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :containers_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :containers_household
      String :name, null: false
      String :kind, null: false
      String :shape, null: false, default: "straight"
      Integer :capacity_ml, null: false
      column :tare_g, "numeric(20,6)"
      column :full_at, "numeric(20,6)"
      Integer :owned, null: false, default: 1
      column :place_id, :bigint
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      unique %i[household_id id], name: :containers_of_household
      index %i[household_id name], unique: true, name: :containers_name_once, where: Sequel.lit("archived_at is null")
      foreign_key %i[household_id place_id], :places, key: %i[household_id id], name: :containers_place_same_household
      constraint(:containers_kind_known, kind: %w[jar tub box bottle bag])
      constraint(:containers_shape_known, shape: %w[straight shouldered])
      constraint(:containers_capacity_positive, Sequel.lit("capacity_ml > 0"))
      constraint(:containers_owned_sane, Sequel.lit("owned between 0 and 10000"))
    end
    alter_table(:lots) do
      add_foreign_key %i[household_id container_id],
        :containers,
        key: %i[household_id id],
        name: :lots_container_same_household
    end

    create_table(:counts) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :counts_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :counts_household
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :counts_account
      column :place_id, :bigint, null: false
      String :status, null: false, default: "open"
      column :started_at, :timestamptz, null: false, default: Sequel.lit("now()")
      unique %i[household_id id], name: :counts_of_household
      index %i[place_id household_id], unique: true, name: :counts_one_open, where: Sequel.lit("status = 'open'")
      foreign_key %i[household_id place_id], :places, key: %i[household_id id], name: :counts_place_same_household
      constraint(:counts_status_known, status: %w[open finished thrown])
    end
    create_table(:count_lines) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :count_lines_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :count_lines_household
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :count_lines_account
      column :count_id, :bigint, null: false
      column :lot_id, :bigint
      String :found, null: false
      column :amount, "numeric(20,6)"
      column :delta, "numeric(20,6)"
      String :level
      column :draft, :jsonb
      TrueClass :removed, null: false, default: false
      column :entered_at, :timestamptz, null: false, default: Sequel.lit("now()")
      index %i[count_id lot_id],
        unique: true,
        name: :count_lines_once,
        where: Sequel.lit("lot_id is not null and not removed")
      index %i[count_id household_id], name: :count_lines_by_count
      foreign_key %i[household_id count_id], :counts, key: %i[household_id id], name: :count_lines_count_same_household
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :count_lines_lot_same_household
      constraint(:count_lines_found_known, found: %w[as_expected amount level gone new])
      constraint(
        :count_lines_shape,
        Sequel.lit("(found = 'new') = (lot_id is null) and (found = 'new') = (draft is not null)")
      )
    end

    create_table(:care_rules) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :care_rules_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :care_rules_household
      String :title, null: false
      column :lot_id, :bigint
      column :place_id, :bigint
      Date :first_on, null: false
      Integer :every_days
      Integer :every_months
      Integer :holds_days
      Date :done_on
      Date :next_on
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      unique %i[household_id id], name: :care_rules_of_household
      index %i[household_id next_on], name: :care_rules_due, where: Sequel.lit("archived_at is null")
      index %i[lot_id household_id], name: :care_rules_by_lot
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :care_lot_same_household
      foreign_key %i[household_id place_id], :places, key: %i[household_id id], name: :care_place_same_household
      constraint(
        :care_rules_rhythm,
        Sequel.lit(
          "(every_days is null or every_days between 1 and 3650) and (every_months is null or every_months between 1 " \
          "and 120) and (every_days is null or every_months is null)"
        )
      )
      constraint(
        :care_rules_holds,
        Sequel.lit("holds_days is null or (holds_days between 1 and 3650 and lot_id is not null)")
      )
    end

    create_table(:record_events) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :record_events_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :record_events_household
      column :act_id, :bigint, null: false
      String :record, null: false
      column :record_id, :bigint, null: false
      column :before, :jsonb, null: false
      column :after, :jsonb, null: false
      index %i[act_id household_id], name: :record_events_by_act
      index %i[record_id record household_id], name: :record_events_by_record
      foreign_key %i[household_id act_id], :acts, key: %i[household_id id], name: :record_events_act_same_household
    end
    run "CREATE TRIGGER record_events_append_only BEFORE UPDATE OR DELETE ON record_events FOR EACH ROW EXECUTE " \
        "FUNCTION refuse_change()"

    create_table(:invitations) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :invitations_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :invitations_household
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :invitations_by
      foreign_key :for_account_id, :accounts, type: :Bignum, foreign_key_constraint_name: :invitations_for
      String :name, null: false
      String :role, null: false
      String :token_hash, null: false
      column :made_at, :timestamptz, null: false, default: Sequel.lit("now()")
      column :expires_at, :timestamptz, null: false, default: Sequel.lit("now() + interval '14 days'")
      column :used_at, :timestamptz
      column :revoked_at, :timestamptz
      index :token_hash, unique: true, name: :invitations_token_once
      constraint(:invitations_role_known, role: %w[keeper helper])
    end
    create_table(:calendar_feeds) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :calendar_feeds_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :calendar_feeds_household
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :calendar_feeds_by
      String :token_hash, null: false
      column :made_at, :timestamptz, null: false, default: Sequel.lit("now()")
      column :revoked_at, :timestamptz
      index :token_hash, unique: true, name: :calendar_feeds_token_once
    end
    create_table(:device_readings) do
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :device_readings_household
      String :device, null: false
      column :reading, :jsonb, null: false
      column :read_at, :timestamptz, null: false, default: Sequel.lit("now()")
      primary_key %i[household_id device], name: :device_readings_pk
      constraint(:device_readings_device_known, device: %w[scale])
    end

    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    walled.each do |table|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "GRANT SELECT, INSERT ON #{table} TO #{role}"
      run "GRANT UPDATE ON #{table} TO #{role}" unless table == :record_events
    end
    columns = lot_columns.map { |name| "\"#{name}\"" }.join(", ")
    run "GRANT INSERT (#{columns}), UPDATE (#{columns}) ON lots TO #{role}"
    run "GRANT UPDATE ON memberships TO #{role}"
    run "GRANT DELETE ON pack_barcodes TO #{role}"
    run "GRANT DELETE ON memberships TO #{role}"

    # Whoever holds a token is not inside any household yet: these two look through the wall for one row.
    run <<~SQL
      CREATE FUNCTION invitation_for(token text) RETURNS TABLE (id bigint, household_id bigint, household_name text, name text, role text, for_account_id bigint, for_email text)
        LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
        SELECT i.id, i.household_id, h.name, i.name, i.role, i.for_account_id, a.email::text
          FROM invitations i JOIN households h ON h.id = i.household_id LEFT JOIN accounts a ON a.id = i.for_account_id
         WHERE i.token_hash = token AND i.used_at IS NULL AND i.revoked_at IS NULL AND i.expires_at > now() $$;
      CREATE FUNCTION calendar_for(token text) RETURNS bigint LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
        SELECT household_id FROM calendar_feeds WHERE token_hash = token AND revoked_at IS NULL $$;
    SQL
  end

  down do
    run "DROP FUNCTION invitation_for(text); DROP FUNCTION calendar_for(text);"
    run "REVOKE UPDATE, DELETE ON memberships FROM #{role}"
    run "REVOKE DELETE ON pack_barcodes FROM #{role}"
    drop_table(
      :device_readings, :calendar_feeds, :invitations, :record_events, :care_rules, :count_lines, :counts,
      :place_photos
    )
    alter_table(:lots) { drop_constraint :lots_container_same_household, type: :foreign_key }
    drop_table(:containers)
    alter_table(:keeping_rules) do
      drop_constraint :keeping_rules_once
      drop_constraint :keeping_rules_pk, type: :primary_key
      drop_column :id
      drop_column :storage
      drop_column :removed
      add_primary_key %i[household_id scope place state], name: :keeping_rules_pk
    end
    drop_column :households, :version
    alter_table(:people) { %i[excludes note archived_at version].each { |name| drop_column name } }
    alter_table(:foods) { %i[working_amount weekly_said].each { |name| drop_column name } }
    alter_table(:places) do
      %i[dark reach inner_mm fill_percent fill_said_on count_every_days counted_on note].each do |name|
        drop_column name
      end
    end
    run "ALTER TABLE movements DROP CONSTRAINT movements_reason_known"
    alter_table(:movements) do
      add_constraint :movements_reason_known,
        reason: %w[bought made brought_in split eaten cooked given_away animals composted binned undone]
    end
    alter_table(:lots) { lot_columns.each { |name| drop_column name } }
  end
end
