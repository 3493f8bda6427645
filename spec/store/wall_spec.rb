# frozen_string_literal: true

require_relative "../support/house"

# Tries to break each promise of the database on the app's own connection.
RSpec.describe "The household wall" do
  let(:mine) { household! }
  let(:theirs) { household! }
  let(:db) { services.database.sequel }

  walled = %i[
    people places foods packs pack_barcodes keeping_rules lots acts movements lot_events price_observations
    stored_requests recipes recipe_lines recipe_texts dishes meals households
  ]

  it "connects as a role that is no superuser, owns nothing and may not step over the wall" do
    role = db[:pg_roles].where(rolname: Sequel.lit("current_user")).first
    expect(role).to include(rolsuper: false, rolbypassrls: false, rolcreatedb: false, rolcreaterole: false)
    expect(db[:pg_tables].where(schemaname: "public", tableowner: role[:rolname]).count).to eq(0)
  end

  it "has a policy on every table with a household in it" do
    with_household =
      db[:pg_attribute]
        .join(:pg_class, oid: :attrelid)
        .join(:pg_namespace, oid: Sequel[:pg_class][:relnamespace])
        .where(attname: "household_id", relkind: "r", nspname: "public")
        .exclude(relname: "memberships")
        .select_map(:relname)
    secured = db[:pg_class].where(relrowsecurity: true).select_map(:relname)
    policies = db[:pg_policies].where(schemaname: "public").select_map(:tablename)
    expect(with_household - secured).to be_empty
    expect(with_household - policies).to be_empty
    expect(with_household.map(&:to_sym)).to include(*(walled - [:households]))
  end

  it "finds the rows of one household by an index, in every table" do
    found = db.fetch(<<~SQL).select_map(:name)
      SELECT c.relname AS name FROM pg_class c
      JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'household_id'
      WHERE c.relkind = 'r' AND c.relnamespace = 'public'::regnamespace AND NOT EXISTS (
        SELECT FROM pg_index i WHERE i.indrelid = c.oid AND i.indkey[0] = a.attnum AND i.indpred IS NULL
      )
    SQL
    expect(found).to be_empty
  end

  walled.each do |table|
    it "shows no row of #{table} while no household is set" do
      put_away(mine, "canned-chickpeas", "cupboard")
      expect(db[table].count).to eq(0)
    end
  end

  it "shows one household nothing of another, whatever it asks" do
    done = put_away(theirs, "canned-chickpeas", "cupboard", price_minor: 99)
    services.database.within(mine.household_id) do |inner|
      expect(inner[:lots].where(id: done["lot_id"]).count).to eq(0)
      expect(inner[:lots].where(household_id: theirs.household_id).count).to eq(0)
      expect(inner[:households].select_map(:id)).to eq([mine.household_id])
    end
  end

  it "refuses to write into another household" do
    id = theirs.household_id
    expect do
      services.database.within(mine.household_id) { |inner| inner[:people].insert(household_id: id, name: "Guest") }
    end.to raise_error(Sequel::DatabaseError, /row-level security/)
    services.database.within(mine.household_id) do |inner|
      expect(inner[:places].where(household_id: id).update(name: "Mine now")).to eq(0)
    end
  end

  it "refuses a stack whose food belongs to another household" do
    food = food_id(theirs, "honey")
    place = place_id(mine, "cupboard")
    expect do
      inside(mine) do |house|
        house.lots.add(
          food_id: food, place_id: place, start_place_id: place, dimension: "mass", situation: "bought_sealed"
        )
      end
    end.to raise_error(Sequel::ForeignKeyConstraintViolation, /lots_food_same_household/)
  end

  it "would let rows through if a policy were dropped, so this spec can fail" do
    mine
    Sequel.connect(HouseSupport.owner_url) do |owner|
      owner.transaction(rollback: :always) do
        owner.run("ALTER TABLE places DISABLE ROW LEVEL SECURITY")
        owner.run("SET LOCAL ROLE nut_shelf_app")
        expect(owner[:places].count).to be_positive
      end
    end
  end
end
