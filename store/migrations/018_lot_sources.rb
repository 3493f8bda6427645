# frozen_string_literal: true

# What a stack came from, many to one: split off another, poured in from several, cooked from all that went in. A recall
# follows it; a stack no longer has one parent.
Sequel.migration do
  role = "nut_shelf_app"

  up do
    create_table(:lot_sources) do
      primary_key :id, type: :Bignum, identity: :always, primary_key_constraint_name: :lot_sources_pk
      foreign_key :household_id,
        :households,
        type: :Bignum,
        null: false,
        foreign_key_constraint_name: :lot_sources_household
      column :act_id, :bigint, null: false
      column :lot_id, :bigint, null: false
      column :source_lot_id, :bigint, null: false
      String :kind, null: false
      column :amount, "numeric(20,6)"
      index %i[lot_id household_id], name: :lot_sources_by_lot
      index %i[source_lot_id household_id], name: :lot_sources_by_source
      foreign_key %i[household_id act_id], :acts, key: %i[household_id id], name: :lot_sources_act_same_household
      foreign_key %i[household_id lot_id], :lots, key: %i[household_id id], name: :lot_sources_lot_same_household
      foreign_key %i[household_id source_lot_id], :lots, key: %i[household_id id],
        name: :lot_sources_source_same_household
      constraint(:lot_sources_kind_known, kind: %w[split poured cooked])
      constraint(:lot_sources_of_another, Sequel.lit("lot_id <> source_lot_id"))
    end
    run <<~SQL
      INSERT INTO lot_sources (household_id, act_id, lot_id, source_lot_id, kind)
        SELECT lots.household_id, min(came.act_id), lots.id, lots.parent_lot_id, 'split'
          FROM lots JOIN lot_events came ON came.lot_id = lots.id AND came.kind = 'came'
         WHERE lots.parent_lot_id IS NOT NULL GROUP BY 1, 3, 4 ORDER BY lots.id;
      INSERT INTO lot_sources (household_id, act_id, lot_id, source_lot_id, kind)
        SELECT household_id, act_id, lot_id, (after->'history'->-1->>'lot_id')::bigint, 'poured'
          FROM lot_events WHERE kind = 'topped_up' AND after->'history'->-1 ? 'lot_id' ORDER BY id;
      INSERT INTO lot_sources (household_id, act_id, lot_id, source_lot_id, kind, amount)
        SELECT came.household_id, came.act_id, came.lot_id, used.lot_id, 'cooked', -sum(used.quantity)
          FROM lot_events came
          JOIN acts ON acts.id = came.act_id AND acts.kind = 'cook'
          JOIN movements kept ON kept.act_id = came.act_id AND kept.lot_id = came.lot_id AND kept.reason = 'made'
          JOIN movements used ON used.act_id = came.act_id AND used.reason = 'cooked'
         WHERE came.kind = 'came' GROUP BY 1, 2, 3, 4;
    SQL
    alter_table(:lots) { drop_column :parent_lot_id }
    current = "nullif(current_setting('nut_shelf.household', true), '')::bigint"
    run "ALTER TABLE lot_sources ENABLE ROW LEVEL SECURITY"
    run "CREATE POLICY household_wall ON lot_sources USING (household_id = #{current}) WITH CHECK (household_id = " \
        "#{current})"
    run "GRANT SELECT, INSERT ON lot_sources TO #{role}"
    run "CREATE TRIGGER lot_sources_append_only BEFORE UPDATE OR DELETE ON lot_sources FOR EACH ROW EXECUTE FUNCTION " \
        "refuse_change()"
  end

  down do
    alter_table(:lots) do
      add_column :parent_lot_id, :bigint
      add_foreign_key %i[household_id parent_lot_id],
        :lots,
        key: %i[household_id id],
        name: :lots_parent_same_household
    end
    run <<~SQL
      UPDATE lots SET parent_lot_id = lot_sources.source_lot_id
        FROM lot_sources WHERE lot_sources.lot_id = lots.id AND lot_sources.kind = 'split';
      GRANT INSERT (parent_lot_id), UPDATE (parent_lot_id) ON lots TO #{role};
    SQL
    drop_table(:lot_sources)
  end
end
