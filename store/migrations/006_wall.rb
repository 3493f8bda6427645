# frozen_string_literal: true

# The household wall: row-level security for the app's role, and the few rights it has.
Sequel.migration do
  walled = %i[
    people places foods packs pack_barcodes keeping_rules lots acts movements lot_events price_observations
    stored_requests recipes recipe_lines meals meal_events
  ]
  append_only = %i[acts movements lot_events meal_events price_observations]
  kept_by_database = %w[on_hand value_minor]
  role = "nut_shelf_app"

  up do
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    walled.each do |table|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "GRANT SELECT, INSERT ON #{table} TO #{role}"
      run "GRANT UPDATE ON #{table} TO #{role}" unless append_only.include?(table) || table == :lots
    end
    run "ALTER TABLE households ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON households USING (id = #{current})"
    run "CREATE POLICY household_make ON households FOR INSERT WITH CHECK (current_setting('nut_shelf.making', true) " \
        "= 'yes')"
    run "CREATE POLICY household_made ON households FOR SELECT USING (current_setting('nut_shelf.making', true) = " \
        "'yes')"
    run "GRANT SELECT, INSERT, UPDATE ON households TO #{role}"

    open_columns = from(:lots).columns.map(&:to_s) - kept_by_database
    run "REVOKE INSERT ON lots FROM #{role}"
    run "GRANT INSERT (#{open_columns.map { |name| "\"#{name}\"" }.join(", ")}) ON lots TO #{role}"
    run "GRANT UPDATE (#{(open_columns - %w[id household_id]).map do |name|
      "\"#{name}\""
    end.join(", ")}) ON lots TO #{role}"
    run "GRANT DELETE ON stored_requests TO #{role}"
    run "GRANT SELECT, INSERT, UPDATE, DELETE ON accounts, account_login_failures, account_lockouts, " \
        "account_remember_keys TO #{role}"
    run "GRANT SELECT, INSERT ON memberships TO #{role}"
    run "GRANT SELECT ON schema_info TO #{role}"
  end

  down do
    run "REVOKE ALL ON accounts, account_login_failures, account_lockouts, account_remember_keys, memberships, " \
        "households, schema_info FROM #{role}"
    %w[household_wall household_make household_made].each { |policy| run "DROP POLICY #{policy} ON households" }
    run "ALTER TABLE households DISABLE ROW LEVEL SECURITY"
    walled.each do |table|
      run "DROP POLICY household_wall ON #{table}"
      run "ALTER TABLE #{table} DISABLE ROW LEVEL SECURITY"
      run "REVOKE ALL ON #{table} FROM #{role}"
    end
  end
end
