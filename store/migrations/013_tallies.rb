# frozen_string_literal: true

# How often something was tried lately, by whom: what every web process counts together. Unlogged, since a crash may
# forget it; outside the wall, since it is asked before anybody is known.
Sequel.migration do
  role = "nut_shelf_app"

  up do
    run <<~SQL
      CREATE UNLOGGED TABLE tallies (
        key text CONSTRAINT tallies_pk PRIMARY KEY,
        count integer NOT NULL,
        ends timestamptz NOT NULL
      );
      CREATE INDEX tallies_over ON tallies (ends);
      GRANT SELECT, INSERT, UPDATE, DELETE ON tallies TO #{role};
    SQL
  end

  down { drop_table(:tallies) }
end
