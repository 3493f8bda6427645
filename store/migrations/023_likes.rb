# frozen_string_literal: true

# Who likes a dish and who does not: by person, "loves" or "not"; nothing where it is all the same.
Sequel.migration do
  change do
    alter_table(:dishes) { add_column :likes, :jsonb, null: false, default: "{}" }
  end
end
