# frozen_string_literal: true

# How a stack stood when something of it moved: whoever looks back later cannot know any more. Empty for what moved
# before this was noted.
Sequel.migration do
  change do
    alter_table(:movements) do
      add_column :state, String
      add_column :days_left, Integer
      add_column :looked, TrueClass
      add_constraint :movements_state_known, state: %w[stop look front soon resting undated not_ready]
    end
  end
end
