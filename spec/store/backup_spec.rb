# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/pictures"
require_relative "../../store/backup"
require "json_schemer"

RSpec.describe NutShelf::Store::Backup do
  let(:ines) { household! }
  let(:schema) { JSON.parse(File.read(File.expand_path("../../contract/backup.schema.json", __dir__))) }

  def live
    chickpeas =
      put_away(
        ines, "canned-chickpeas", "cupboard", count: "5", printed_on: "2028-05-31", printed_kind: "best_before",
        price_minor: 445
      )[
        "lot_id"
      ]
    act(:Open, ines, { lot_id: chickpeas })
    act(:Undo, ines, { act_id: act(:Take, ines, { lot_id: chickpeas })["act_id"] })
    act(:AddPlace, ines, { name: "Box", kind: "cupboard", parent_id: place_id(ines, "cupboard") })
    act(:AddPhoto, ines, { place_id: place_id(ines, "cupboard"), content: Base64.strict_encode64(Pictures.png) })
    count = act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"]
    act(:EnterLine, ines, { count_id: count, lot_id: chickpeas, found: "amount", packs: "3" })
    act(:FinishCount, ines, { count_id: count })
    act(:AddCare, ines, { title: "Turn it", lot_id: chickpeas, first_on: "2026-12-01", every_days: 30 })
    act(:AddPerson, ines, { name: "Jørn \u{1F41F}", portion_factor: "0.8", excludes: %w[milk] })
    act(
      :LearnBarcode,
      ines,
      { code: "4006381333931", food_id: food_id(ines, "canned-chickpeas"), amount: "400", unit: "g" }
    )
    act(:PlanMeal, ines, { recipe_id: inside(ines) { |house| house.recipes.values.keys.first }, on: "2026-11-25" })
    act(
      :SetKeeping,
      ines,
      { food_id: food_id(ines, "honey"), place: "cupboard", state: "opened", low: 100, high: 900, reason: "Ours lasts" }
    )
    chickpeas
  end

  def written = inside(ines) { |house| described_class.write(house.db, ines.household_id) }

  def fresh_database
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_restore")
    NutShelf::Store::Owner.drop(url)
    NutShelf::Boot::Wiring.migrated(url)
    Sequel.connect(url) { |db| yield NutShelf::Store::Database.prepare(db) }
  end

  it "goes out and comes back byte for byte, with stock that balances and numbers that go on" do
    lot_id = live
    text = written
    expect(written).to eq(text)
    fresh_database do |db|
      id = described_class.restore(db, text)
      expect(described_class.write(db, id)).to eq(text)
      expect(db[:lots].where(id: lot_id).get(:on_hand)).to eq(lot(ines, lot_id).on_hand)
      sums = db[:movements].group(:lot_id).select_hash(:lot_id, Sequel.function(:sum, :quantity).as(:quantity))
      expect(db[:lots].where(id: sums.keys).select_hash(:id, :on_hand)).to eq(sums)
      expect(db[:places].insert(household_id: id, name: "New", kind: "cupboard")).to be >
        db[:places].where(household_id: id).exclude(name: "New").max(:id)
      expect { described_class.restore(db, text) }.to raise_error(described_class::Unfit, /empty one/)
    end
  end

  it "is what its written schema says, and the schema names every column there is" do
    live
    document = JSON.parse(written)
    expect(
      JSONSchemer
        .schema(schema)
        .validate(document)
        .map { |error| "#{error["data_pointer"]}: #{error["type"]}" }
        .first(5)
    ).to be_empty
    described_class::TABLES.each do |table|
      columns =
        services.database.sequel.schema(table).map { |name, _| name.to_s } - ["household_id"] -
        described_class::DERIVED.fetch(table, []).map(&:to_s)
      expect(
        [table, schema.dig("properties", "tables", "properties", table.to_s, "items", "properties").keys.sort]
      ).to eq([table, columns.sort])
    end
  end

  it "holds no secret" do
    act(:Invite, ines, { name: "Guest", role: "helper" })
    act(:OpenFeed, ines, {})
    services.database.outside do |db|
      db[:accounts].where(id: ines.account_id).update(password_hash: "$argon2id$secret")
    end
    expect(written).not_to match(/argon2|token_hash|password/)
  end

  it "refuses what is no backup, and leaves nothing behind when it is broken" do
    live
    broken = JSON.parse(written)
    broken["tables"]["movements"].first["lot_id"] = 999_999_999
    fresh_database do |db|
      {
        "{}" => /no backup/,
        "[" => /no JSON/,
        JSON.generate(format: "nut-shelf-household", version: 99) => /version 99/
      }.each do |text, words|
        expect do
          described_class.restore(db, text)
        end.to raise_error(described_class::Unfit, words)
      end
      expect { described_class.restore(db, JSON.generate(broken)) }.to raise_error(
        described_class::Unfit,
        /digest does not fit/
      )
      expect(db[:households].count).to eq(0)
    end
  end
end
