# frozen_string_literal: true

# What of a stack is set apart: how much, for whom or what, and until when. Its own amount, not a mark on the stack: one
# tin of three may belong to a box.
Sequel.migration do
  role = "nut_shelf_app"

  up do
    create_table(:reservations) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :reservations_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :reservations_household
      column :lot_id, :bigint, null: false
      column :amount, "numeric(20,6)", null: false
      String :holder, null: false
      Date :until_on
      column :archived_at, :timestamptz
      Integer :version, null: false, default: 1
      unique %i[household_id id], name: :reservations_of_household
      index %i[lot_id household_id], name: :reservations_by_lot, where: Sequel.lit("archived_at is null")
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :reservations_lot_same_household
      constraint(:reservations_amount_positive, Sequel.lit("amount > 0"))
      constraint(:reservations_holder_said, Sequel.lit("holder <> ''"))
    end
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    run "ALTER TABLE reservations ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON reservations USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT, UPDATE ON reservations TO #{role}"
    run "CREATE TRIGGER reservations_topic AFTER INSERT OR UPDATE OR DELETE ON reservations FOR EACH STATEMENT " \
        "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('stock')"
  end

  down { drop_table(:reservations) }
end
