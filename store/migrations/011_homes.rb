# frozen_string_literal: true

# Where a food belongs, as the household says.
Sequel.migration do
  change do
    alter_table(:foods) do
      add_column :home_place_id, :bigint
      add_foreign_key %i[household_id home_place_id],
        :places,
        key: %i[household_id id],
        name: :foods_home_same_household
    end
  end
end
