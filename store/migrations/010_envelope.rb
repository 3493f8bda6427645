# frozen_string_literal: true

# Which device did it and in which order: an act sent later stands where it belongs.
Sequel.migration do
  up do
    run "ALTER TABLE acts DISABLE TRIGGER USER"
    add_column :acts, :device, String, null: false, default: ""
    add_column :acts, :sequence, :Bignum, null: false, default: 0
    run <<~SQL
      UPDATE acts SET sequence = (extract(epoch from noted_at) * 1000)::bigint;
      ALTER TABLE acts ENABLE TRIGGER USER;
      ALTER TABLE acts ALTER COLUMN sequence DROP DEFAULT;
    SQL
  end

  down do
    drop_column :acts, :sequence
    drop_column :acts, :device
  end
end
