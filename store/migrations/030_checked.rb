# frozen_string_literal: true

# The day somebody last looked through a place, what stands in it and how dry it is.
Sequel.migration do
  up do
    alter_table(:places) { add_column :checked_on, Date }
  end

  down do
    alter_table(:places) { drop_column :checked_on }
  end
end
