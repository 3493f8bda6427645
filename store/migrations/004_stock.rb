# frozen_string_literal: true

# Stacks and the ledger. What a stack has on hand is kept by the database from its movements alone.
Sequel.migration do
  up do
    # Secondary indexes lead with the narrow column: one that leads with the household would tempt the planner,
    # while a table is small, into a plan that later reads a whole household for each row.
    create_table(:lots) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :lots_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :lots_household
      column :food_id, :bigint, null: false
      column :place_id, :bigint, null: false
      column :pack_id, :bigint
      column :parent_lot_id, :bigint
      String :label, null: false, default: ""
      String :dimension, null: false
      column :pack_amount, "numeric(20,6)"
      String :noun
      String :situation, null: false
      TrueClass :open, null: false, default: false
      TrueClass :frozen, null: false, default: false
      TrueClass :quarantined, null: false, default: false
      String :level
      Date :acquired_on
      Date :made_on
      Date :printed_on
      String :printed_kind
      Integer :leftover_days
      column :start_place_id, :bigint, null: false
      column :history, :jsonb, null: false, default: "[]"
      Date :quality_until
      Date :safety_until
      Date :ready_on
      Date :usable_until
      TrueClass :stopped, null: false, default: false
      String :basis, null: false, default: "none"
      column :steps, :jsonb, null: false, default: "[]"
      column :flags, :jsonb, null: false, default: "[]"
      TrueClass :value_estimated, null: false, default: false
      column :on_hand, "numeric(20,6)", null: false, default: 0
      column :value_minor, :bigint, null: false, default: 0
      unique %i[household_id id], name: :lots_of_household
      index %i[household_id usable_until id], name: :lots_on_shelf, where: Sequel.lit("on_hand > 0")
      index %i[food_id household_id], name: :lots_by_food
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :lots_food_same_household
      foreign_key %i[household_id place_id], :places, key: %i[household_id id], name: :lots_place_same_household
      foreign_key %i[household_id start_place_id], :places, key: %i[household_id id], name: :lots_start_same_household
      foreign_key %i[household_id pack_id], :packs, key: %i[household_id id], name: :lots_pack_same_household
      foreign_key %i[household_id parent_lot_id], :lots, key: %i[household_id id], name: :lots_parent_same_household
      constraint(:lots_never_below_zero, Sequel.lit("on_hand >= 0"))
      constraint(:lots_value_never_below_zero, Sequel.lit("value_minor >= 0"))
      constraint(:lots_dimension_known, dimension: %w[mass volume count])
      constraint(:lots_pack_positive, Sequel.lit("pack_amount is null or pack_amount > 0"))
      constraint(
        :lots_printed_kind_known,
        Sequel.lit("(printed_on is null) = (printed_kind is null) and printed_kind in ('use_by', 'best_before')")
      )
      constraint(:lots_level_known, Sequel.lit("level in ('plenty', 'half', 'low', 'out')"))
    end
    create_table(:acts) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :acts_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :acts_household
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :acts_account
      String :kind, null: false
      Date :occurred_on, null: false
      column :noted_at, :timestamptz, null: false, default: Sequel.lit("now()")
      String :summary, null: false
      column :undoes_act_id, :bigint
      column :subject_id, :bigint
      unique %i[household_id id], name: :acts_of_household
      index %i[household_id undoes_act_id],
        unique: true,
        name: :acts_undone_once,
        where: Sequel.lit("undoes_act_id is not null")
      foreign_key %i[household_id undoes_act_id], :acts, key: %i[household_id id], name: :acts_undoes_same_household
    end
    create_table(:movements) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :movements_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :movements_household
      column :act_id, :bigint, null: false
      column :lot_id, :bigint, null: false
      column :quantity, "numeric(20,6)", null: false
      column :value_minor, :bigint, null: false
      String :reason, null: false
      String :why, null: false, default: ""
      index %i[lot_id household_id], name: :movements_by_lot
      index %i[act_id household_id], name: :movements_by_act
      foreign_key %i[household_id act_id], :acts, key: %i[household_id id], name: :movements_act_same_household
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :movements_lot_same_household
      constraint(
        :movements_reason_known,
        reason: %w[bought made brought_in split eaten cooked given_away animals composted binned undone]
      )
    end
    create_table(:lot_events) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :lot_events_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :lot_events_household
      column :act_id, :bigint, null: false
      column :lot_id, :bigint, null: false
      String :kind, null: false
      column :before, :jsonb, null: false
      column :after, :jsonb, null: false
      index %i[lot_id household_id], name: :lot_events_by_lot
      index %i[act_id household_id], name: :lot_events_by_act
      foreign_key %i[household_id act_id], :acts, key: %i[household_id id], name: :lot_events_act_same_household
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :lot_events_lot_same_household
    end
    create_table(:price_observations) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :price_observations_pk
      foreign_key :household_id, :households, type: :Bignum, null: false, foreign_key_constraint_name: :prices_household
      column :food_id, :bigint, null: false
      column :pack_id, :bigint
      column :act_id, :bigint
      column :price_minor, :bigint, null: false
      column :amount, "numeric(20,6)", null: false
      String :dimension, null: false
      Date :observed_on, null: false
      index %i[food_id household_id observed_on], name: :prices_by_food
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :prices_food_same_household
      foreign_key %i[household_id pack_id], :packs, key: %i[household_id id], name: :prices_pack_same_household
      foreign_key %i[household_id act_id], :acts, key: %i[household_id id], name: :prices_act_same_household
      constraint(:prices_positive, Sequel.lit("price_minor >= 0 and amount > 0"))
    end
    create_table(:stored_requests) do
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :requests_household
      foreign_key :account_id, :accounts, type: :Bignum, null: false, foreign_key_constraint_name: :requests_account
      String :key, null: false
      String :request_hash, null: false
      String :answer
      column :stored_at, :timestamptz, null: false, default: Sequel.lit("now()")
      primary_key %i[household_id account_id key], name: :stored_requests_pk
    end
    run <<~SQL
      CREATE FUNCTION keep_on_hand() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      BEGIN
        UPDATE lots SET on_hand = on_hand + NEW.quantity, value_minor = value_minor + NEW.value_minor
         WHERE household_id = NEW.household_id AND id = NEW.lot_id;
        RETURN NEW;
      END $$;
      CREATE TRIGGER movements_keep_on_hand AFTER INSERT ON movements FOR EACH ROW EXECUTE FUNCTION keep_on_hand();
      CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        RAISE EXCEPTION 'the ledger is append-only: % of % is refused', TG_OP, TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
      END $$;
      CREATE TRIGGER movements_append_only BEFORE UPDATE OR DELETE ON movements FOR EACH ROW EXECUTE FUNCTION refuse_change();
      CREATE TRIGGER lot_events_append_only BEFORE UPDATE OR DELETE ON lot_events FOR EACH ROW EXECUTE FUNCTION refuse_change();
      CREATE TRIGGER acts_append_only BEFORE UPDATE OR DELETE ON acts FOR EACH ROW EXECUTE FUNCTION refuse_change();
    SQL
  end

  down do
    drop_table(:stored_requests, :price_observations, :lot_events, :movements, :acts, :lots)
    run "DROP FUNCTION keep_on_hand(); DROP FUNCTION refuse_change();"
  end
end
