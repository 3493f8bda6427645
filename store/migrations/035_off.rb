# frozen_string_literal: true

# Fridges and freezers that are switched off and on, with the days; what a trip has of shops on the way, gas and bags.
Sequel.migration do
  up do
    alter_table(:places) do
      add_column :cold_kind, String
      add_column :off_spans, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      add_constraint(
        :places_off,
        Sequel.lit("cold_kind IS NULL OR (cold_kind IN ('fridge', 'freezer') AND kind = 'cupboard')")
      )
    end
    alter_table(:trip_meals) do
      add_column :soaked, TrueClass, null: false, default: false
      drop_constraint :trip_meals_kind
      add_constraint(:trip_meals_kind, kind: %w[recipe bag food leftover])
    end
    alter_table(:trips) do
      add_column :shops, "text[]", null: false, default: Sequel.lit("'{}'")
      add_column :carried_by, String, null: false, default: "back"
      add_constraint(:trips_carried, carried_by: %w[back bicycle vehicle])
      add_column :gas_used_g, Integer
      add_column :boiled_ml, "numeric(12,3)"
      add_constraint(:trips_gas, Sequel.lit("(gas_used_g IS NULL OR gas_used_g > 0) AND " \
                                            "(boiled_ml IS NULL OR boiled_ml > 0)"))
    end
  end

  down do
    self[:trip_meals].where(kind: "leftover").delete
    alter_table(:trip_meals) do
      drop_constraint :trip_meals_kind
      add_constraint(:trip_meals_kind, kind: %w[recipe bag food])
      drop_column :soaked
    end
    alter_table(:trips) do
      drop_constraint :trips_gas
      drop_column :boiled_ml
      drop_column :gas_used_g
      drop_constraint :trips_carried
      drop_column :carried_by
      drop_column :shops
    end
    alter_table(:places) do
      drop_constraint :places_off
      drop_column :off_spans
      drop_column :cold_kind
    end
  end
end
