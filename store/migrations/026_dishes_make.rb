# frozen_string_literal: true

# A line of a dish that does not go in but comes out: broth, cooked rice, cold meat for another dish.
Sequel.migration do
  up { add_column :recipe_lines, :made, :boolean, null: false, default: false }

  down do
    from(:recipe_lines).where(:made).delete
    drop_column :recipe_lines, :made
  end
end
