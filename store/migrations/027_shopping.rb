# frozen_string_literal: true

# Shopping: what a household wants in the house of each food, the shops it goes to with the order of their aisles, each
# time somebody went, and the lines of the list: a person's own that wait for a trip, and those that were taken along.
Sequel.migration do
  role = "nut_shelf_app"
  made = %i[shops shoppings list_lines wants]

  up do
    own = lambda do |table, name|
      table.primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :"#{name}_pk"
      table.foreign_key :household_id, :households, type: :Bignum, null: false,
        foreign_key_constraint_name: :"#{name}_household"
      table.column :archived_at, :timestamptz
      table.Integer :version, null: false, default: 1
      table.unique %i[household_id id], name: :"#{name}_of_household"
    end
    create_table(:shops) do
      own.(self, :shops)
      String :name, null: false
      column :aisles, :jsonb, null: false, default: "[]"
    end
    create_table(:shoppings) do
      own.(self, :shoppings)
      column :shop_id, :bigint
      column :account_id, :bigint, null: false
      Date :on_date, null: false
      String :status, null: false, default: "open"
      column :budget_minor, :bigint
      constraint(:shoppings_status_known, status: %w[open closed])
      constraint(:shoppings_budget, Sequel.lit("budget_minor IS NULL OR budget_minor >= 0"))
      foreign_key %i[household_id shop_id], :shops, key: %i[household_id id], name: :shoppings_shop_same_household
      foreign_key [:account_id], :accounts, name: :shoppings_account
      index %i[household_id status], name: :shoppings_by_status
    end
    create_table(:list_lines) do
      own.(self, :list_lines)
      column :shopping_id, :bigint
      column :food_id, :bigint
      column :account_id, :bigint, null: false
      String :ref, null: false
      column :changed_seq, :bigint, null: false, default: 0
      column :ticked_seq, :bigint, null: false, default: 0
      String :source, null: false
      String :text, null: false, default: ""
      String :aisle, null: false, default: ""
      String :note, null: false, default: ""
      column :amount, "numeric(20,6)"
      String :dimension
      column :packs, :jsonb, null: false, default: "[]"
      column :reasons, :jsonb, null: false, default: "[]"
      column :cost_minor, :bigint
      TrueClass :estimated, null: false, default: false
      String :status, null: false, default: "open"
      column :ticks, :jsonb, null: false, default: "[]"
      column :paid_minor, :bigint
      String :changed_by, null: false, default: ""
      unique %i[household_id ref], name: :list_lines_ref
      constraint(:list_lines_ref_plain, Sequel.lit("ref ~ '^[a-z0-9]{8,40}$'"))
      constraint(:list_lines_status_known, status: %w[open ticked removed away left])
      constraint(:list_lines_source_known, source: %w[own list last])
      constraint(:list_lines_says_what, Sequel.lit("food_id IS NOT NULL OR text <> ''"))
      constraint(:list_lines_dimension_known, Sequel.lit("dimension IN ('mass', 'volume', 'count')"))
      constraint(:list_lines_amount, Sequel.lit("(amount IS NULL) = (dimension IS NULL) AND " \
                                                "(amount IS NULL OR amount > 0)"))
      constraint(:list_lines_money, Sequel.lit("coalesce(cost_minor, 0) >= 0 AND coalesce(paid_minor, 0) >= 0"))
      foreign_key %i[household_id shopping_id], :shoppings, key: %i[household_id id],
        name: :list_lines_shopping_same_household
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :list_lines_food_same_household
      foreign_key [:account_id], :accounts, name: :list_lines_account
      index %i[household_id shopping_id status], name: :list_lines_by_shopping
    end
    create_table(:wants) do
      own.(self, :wants)
      column :food_id, :bigint, null: false
      column :par, "numeric(20,6)"
      column :par_weeks, "numeric(20,6)"
      column :floor, "numeric(20,6)"
      TrueClass :standing, null: false, default: false
      Date :silent_until
      String :silent_because, null: false, default: ""
      constraint(:wants_not_below_zero,
        Sequel.lit("coalesce(par, 0) >= 0 AND coalesce(par_weeks, 0) >= 0 AND coalesce(floor, 0) >= 0"))
      foreign_key %i[household_id food_id], :foods, key: %i[household_id id], name: :wants_food_same_household
      index %i[household_id food_id], unique: true, name: :wants_once, where: { archived_at: nil }
    end
    alter_table(:price_observations) do
      add_column :shop_id, :bigint
      add_foreign_key %i[household_id shop_id], :shops, key: %i[household_id id], name: :prices_shop_same_household
    end
    add_column :households, :list_revision, :Bignum, null: false, default: 0
    from(:households).update(list_revision: :revision)
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    made.each do |table|
      run "ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY"
      run "CREATE POLICY household_wall ON #{table} USING (household_id = #{current}) WITH CHECK (household_id = " \
          "#{current})"
      run "GRANT SELECT, INSERT, UPDATE ON #{table} TO #{role}"
      run "CREATE TRIGGER #{table}_topic AFTER INSERT OR UPDATE OR DELETE ON #{table} FOR EACH STATEMENT " \
          "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('list')"
    end
  end

  down do
    alter_table(:price_observations) do
      drop_foreign_key [], name: :prices_shop_same_household
      drop_column :shop_id
    end
    drop_table(:wants, :list_lines, :shoppings, :shops)
    drop_column :households, :list_revision
  end
end
