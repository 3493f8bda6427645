# frozen_string_literal: true

# What is looked up by these columns and had no index: acts of a day, what stands in a place or a jar, lines about a
# stack.
Sequel.migration do
  change do
    add_index :acts, %i[occurred_on household_id], name: :acts_by_day
    add_index :lots, %i[place_id household_id], name: :lots_by_place, where: Sequel.lit("on_hand > 0")
    add_index :lots, %i[container_id household_id], name: :lots_by_container, where: Sequel.lit("on_hand > 0")
    add_index :count_lines, %i[lot_id household_id], name: :count_lines_by_lot
  end
end
