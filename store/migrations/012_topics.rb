# frozen_string_literal: true

# What changed, by topic. The database itself notes it, whoever writes: the first write of a transaction raises the
# household's revision, and each topic that is written to takes that number. A view is as old as the topics it reads.
Sequel.migration do
  topics = {
    stock: %i[lots movements price_observations], plan: %i[recipes recipe_lines meals care_rules], people: %i[people],
    counts: %i[counts count_lines], rules: %i[places place_photos foods packs pack_barcodes keeping_rules containers]
  }

  up do
    topics.each_key { |topic| add_column :households, :"#{topic}_revision", :Bignum, null: false, default: 0 }
    add_column :households, :raised_in, :Bignum, null: false, default: 0
    from(:households).update(topics.keys.to_h { |topic| [:"#{topic}_revision", :revision] })
    run "ALTER TABLE acts DISABLE TRIGGER USER"
    add_column :acts, :revision, :Bignum, null: false, default: 0
    run "ALTER TABLE acts ENABLE TRIGGER USER"
    run "CREATE INDEX acts_by_revision ON acts (revision, household_id)"
    run <<~SQL
      CREATE FUNCTION raise_topic() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      DECLARE
        house bigint := nullif(current_setting('nut_shelf.household', true), '')::bigint;
        mine bigint := txid_current();
      BEGIN
        IF house IS NULL THEN RETURN NULL; END IF;
        EXECUTE format('UPDATE households SET revision = revision + (raised_in <> $1)::int, raised_in = $1,
                          %1$I = revision + (raised_in <> $1)::int
                        WHERE id = $2 AND (raised_in <> $1 OR %1$I <> revision)', TG_ARGV[0] || '_revision')
          USING mine, house;
        RETURN NULL;
      END $$;
    SQL
    topics.each do |topic, tables|
      tables.each do |table|
        run "CREATE TRIGGER #{table}_topic AFTER INSERT OR UPDATE OR DELETE ON #{table} FOR EACH STATEMENT " \
            "WHEN (pg_trigger_depth() = 0) EXECUTE FUNCTION raise_topic('#{topic}')"
      end
    end
    run "CREATE TRIGGER households_topic AFTER UPDATE OF name, time_zone, currency, day_order, school, settings " \
        "ON households FOR EACH STATEMENT EXECUTE FUNCTION raise_topic('rules')"
  end

  down do
    topics.values.flatten.each { |table| run "DROP TRIGGER #{table}_topic ON #{table}" }
    run "DROP TRIGGER households_topic ON households"
    run "DROP FUNCTION raise_topic()"
    drop_column :acts, :revision
    [*topics.keys.map { |topic| :"#{topic}_revision" }, :raised_in].each { |column| drop_column :households, column }
  end
end
