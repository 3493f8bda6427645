# frozen_string_literal: true

require_relative "support"
require_relative "../../boot/marks"
require_relative "../../core/quantity/hand_words"

# A drawn mark for each kind of pack and of loose food.
RSpec.describe NutShelf::Core::Marks do
  let(:marks) { NutShelf::Boot::Marks.table }
  let(:drawn) { JSON.parse(File.read(NutShelf::Boot::Marks::DRAWN)) }
  let(:catalog) { NutShelf::Boot::Reference.catalog }

  def mark(key, **more)
    food = catalog.food(key)
    marks.of(keys: [key], aisle: food.aisle, **more)
  end

  it "draws every mark a stack may get, and gets every mark that is drawn" do
    expect(marks.all).to match_array(drawn.keys)
    expect(drawn.size).to be >= 28
  end

  it "draws within its field, with moves, lines, curves and ends alone" do
    drawn.each do |name, path|
      expect(path).to match(/\AM[MLCZ\d. -]+\z/), name
      expect(path.scan(/-?[\d.]+/).map(&:to_f)).to all(be_between(0, 20)), name
    end
  end

  it "knows every food it names" do
    rows = CSV.read(File.join(NutShelf::Boot::Reference::FOLDER, "mark_of.csv"), headers: true).map(&:to_h)
    expect(rows.select { |row| row["by"] == "food" }.map { |row| row["name"] } - catalog.foods.keys).to eq([])
    expect(rows.select { |row| row["by"] == "aisle" }.map { |row| row["name"] }).to match_array(
      catalog.foods.values.map(&:aisle).uniq
    )
    expect(rows.map { |row| row.values_at("by", "name") }).to eq(rows.map { |row| row.values_at("by", "name") }.uniq)
  end

  it "tells the same food apart by how it comes" do
    expect(
      [
        mark("canned-kidney-beans"),
        mark("dried-kidney-beans"),
        mark("green-beans"),
        mark("eggs"),
        mark("carrots"),
        mark("canned-carrots")
      ]
    ).to eq(%w[tin bag pod egg root tin])
  end

  it "goes by what hands said before what is usual" do
    expect(mark("honey", noun: "bottle")).to eq("bottle")
    expect(mark("honey", wrapping: "plastic")).to eq("tub")
    expect(mark("olive-oil", wrapping: "glass")).to eq("bottle")
    expect(mark("passata", noun: "jar")).to eq("jar")
  end

  it "falls back on what a food of ours is like, then on its aisle, then on a box" do
    expect(marks.of(keys: %w[own-7 eggs], aisle: "Dairy and eggs")).to eq("egg")
    expect(marks.of(keys: ["own-7", nil], aisle: "Bread")).to eq("loaf")
    expect(marks.of(keys: [], aisle: "Elsewhere")).to eq("box")
  end

  it "lets hands count whole packs of what has a pack to count" do
    words = ->(*facts) { NutShelf::Core::HandWords.packs(*facts) }
    expect(
      [
        words.(1200r, 400r, "tin"),
        words.(400r, 400r, "jar"),
        words.(600r, 400r, "tin"),
        words.(6r, 1r, "egg"),
        words.(6r, nil, "tin")
      ]
    ).to eq(["3 tins", "1 jar", nil, nil, nil])
  end
end
