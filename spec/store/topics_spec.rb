# frozen_string_literal: true

require_relative "../support/house"

# The database itself notes what changed: whoever writes to a table raises the topic it belongs to.
RSpec.describe NutShelf::Store::Topics do
  include HouseSupport

  let(:ines) { household! }

  def revisions
    inside(ines) do |house|
      house.household.row.slice(:revision, *described_class::ALL.map { |topic| described_class.column(topic) })
    end
  end

  # @return [Array<Symbol>] topics that something raised
  def raised
    before = revisions
    yield
    after = revisions
    described_class::ALL.reject do |topic|
      before[described_class.column(topic)] == after[described_class.column(topic)]
    end
  end

  it "has a trigger on every table of every topic, and every household's table is of one" do
    ines
    triggers, walled =
      services.database.outside do |db|
        [
          db[:pg_trigger].where(Sequel.like(:tgname, "%_topic")).select_map(:tgname),
          db[Sequel[:information_schema][:columns]]
            .where(table_schema: "public", column_name: "household_id")
            .select_map(:table_name)
            .map(&:to_sym)
        ]
      end
    tables = described_class::TABLES.values.flatten
    expect(triggers).to match_array([*tables, :households].map { |table| "#{table}_topic" })
    aside = %i[
      acts lot_events lot_sources record_events stored_requests memberships invitations calendar_feeds device_readings
    ]
    expect(walled - tables).to match_array(aside)
  end

  it "raises what an act wrote to, once, and to the household's new revision" do
    stack = nil
    expect(raised { stack = put_away(ines, "honey", "cupboard")["lot_id"] }).to contain_exactly(:stock, :rules)
    expect(raised { act(:Take, ines, { lot_id: stack, amount: "100" }) }).to eq([:stock])
    row = revisions
    expect(row[:stock_revision]).to eq(row[:revision])
    expect(raised { act(:AddCare, ines, { title: "Water", first_on: "2026-12-01" }) }).to eq([:plan])
    expect(raised { act(:AddPerson, ines, { name: "Mo", portion_factor: "1" }) }).to eq([:people])
    expect(raised { act(:SetHousehold, ines, { settings: { front_days: 5 } }) }).to eq([:rules])
  end

  it "leaves the rest alone while a count is entered, and when a scale is read" do
    stack = put_away(ines, "honey", "cupboard")["lot_id"]
    count = nil
    expect(raised { count = act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"] }).to eq(
      [:counts]
    )
    expect(raised { act(:EnterLine, ines, { count_id: count, lot_id: stack, found: "as_expected" }) }).to eq([:counts])
    expect(raised { inside(ines) { |house| house.readings.keep("scale", { grams: 3 }) } }).to eq([])
  end

  it "notes what is written outside any act, too" do
    stack = put_away(ines, "honey", "cupboard")["lot_id"]
    before = revisions[:revision]
    expect(raised { inside(ines) { |house| house.lots.update(stack, label: "Thyme") } }).to eq([:stock])
    expect(revisions[:revision]).to eq(before + 1)
  end

  it "gives every act the revision it made" do
    put_away(ines, "honey", "cupboard")["lot_id"]
    latest = inside(ines) { |house| house.ledger.recent.first }
    expect(latest.revision).to eq(revisions[:revision])
  end
end
