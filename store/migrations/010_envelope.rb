# frozen_string_literal: true

# Which device did it and in which order: an act sent later stands where it belongs. And a name for each household that
# no other has, on no other machine either.
Sequel.migration do
  up do
    add_column :households, :uid, :uuid, null: false, default: Sequel.function(:gen_random_uuid)
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
    drop_column :households, :uid
    drop_column :acts, :sequence
    drop_column :acts, :device
  end
end
