# frozen_string_literal: true

# What the caps of a date need: the first day anybody knew of a stack, what has no date on purpose, the date for
# those who eat by the date only, and what a food of one's own holds. `dated_by` says by which rules a household's
# stacks were dated last.
Sequel.migration do
  role = "nut_shelf_app"
  added = %w[known_on look_first age_unknown strict_until]

  up do
    alter_table(:lots) do
      add_column :known_on, Date
      add_column :look_first, TrueClass, null: false, default: false
      add_column :age_unknown, TrueClass, null: false, default: false
      add_column :strict_until, Date
    end
    add_column :foods, :allergens, "text[]"
    add_column :households, :dated_by, Integer, null: false, default: 0
    run <<~SQL
      UPDATE lots SET known_on = first.known_on
        FROM (SELECT lot_events.lot_id, min(acts.occurred_on) AS known_on
                FROM lot_events JOIN acts ON acts.id = lot_events.act_id WHERE lot_events.kind = 'came' GROUP BY 1) first
       WHERE first.lot_id = lots.id
    SQL
    names = added.join(", ")
    run "GRANT INSERT (#{names}), UPDATE (#{names}) ON lots TO #{role}"
  end

  down do
    drop_column :households, :dated_by
    drop_column :foods, :allergens
    alter_table(:lots) { added.each { |name| drop_column name.to_sym } }
  end
end
