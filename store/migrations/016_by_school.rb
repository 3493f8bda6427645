# frozen_string_literal: true

# Whether a stack would be dated otherwise in another school: only those are dated anew when the school changes. Until
# a stack is dated again, it counts as one.
Sequel.migration do
  role = "nut_shelf_app"

  up do
    add_column :lots, :by_school, TrueClass, null: false, default: true
    run "GRANT INSERT (by_school), UPDATE (by_school) ON lots TO #{role}"
  end

  down { drop_column :lots, :by_school }
end
