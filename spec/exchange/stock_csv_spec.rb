# frozen_string_literal: true

require "base64"
require_relative "../support/api"

RSpec.describe "Stock lists", :api do
  let!(:who) { sign_in(household!) }
  let(:cupboard) { place_id(who, "cupboard") }

  def preview(text, **more)
    tell("/api/import/preview", { content: Base64.strict_encode64(text), place_id: cupboard, **more })
  end

  def bring(text, **more) = tell("/api/import", { content: Base64.strict_encode64(text), place_id: cupboard, **more })

  def stacks = ask("/api/stacks")["stacks"]

  german =
    "Artikel;Menge;Inhalt;Lagerort;MHD;Preis\r\nPassata;3;500 g;Kühlschrank;31.05.2028;3,45\r\nHoney;2;450 " \
    "g;Vorrat;05/2029;\"1.010,40\"\r\n"

  it "reads a German list in Windows-1252 with semicolons and decimal commas" do
    seen = preview(german.encode("Windows-1252"))
    expect(seen).to include(
      "encoding" => "Windows-1252", "delimiter" => ";", "decimal" => ",", "ready" => true, "total" => 2
    )
    expect(seen["columns"].map { |column| column["field"] }).to eq(%w[food count amount place best_before price])
    expect(seen["rows"].map { |row| row.values_at("food", "amount", "place", "date", "price_minor") }).to eq(
      [
        ["Sieved tomatoes (passata)", "3 x 500 g", "Fridge", "2028-05-31", 345],
        ["Honey", "2 x 450 g", "Cupboard", "2029-05-31", 101_040]
      ]
    )
  end

  {
    "French" => [
      "Produit,Quantité,Contenu,Emplacement,À consommer de préférence avant,Prix\nPasta,4,500 g,Placard," \
      "31/05/2028,3.80\n",
      %w[food count amount place best_before price]
    ],
    "Spanish" => [
      "Alimento\tCantidad\tPeso\tLugar\tCaducidad\tPrecio\nPasta\t4\t500 g\tNevera\t31/05/2028\t3,80\n",
      %w[food count amount place best_before price]
    ],
    "English" => [
      "Item|Qty|Size|Location|Best before|Price each\nPasta|4|500g|Fridge|end 2028|0.95\n",
      %w[food count amount place best_before price_each]
    ]
  }.each do |language, (text, fields)|
    it "recognises #{language} headings" do
      seen = preview(text)
      expect(seen["columns"].map { |column| column["field"] }).to eq(fields)
      expect(seen["rows"].first).to include("amount" => "4 x 500 g", "price_minor" => 380)
    end
  end

  it "weighs what can be read in two ways, and asks where both could be" do
    amounts = lambda do |*sizes|
      preview("food,amount,place\n#{sizes.map { |size| "honey,\"#{size}\",cupboard" }.join("\n")}\n").then do |seen|
        [seen["rows"].map { |row| row["amount"] }, seen["problems"].map { |one| one["reason"] }]
      end
    end
    expect(amounts.call("1,000 g", "1.125 lb")).to eq([["1 kg", "510.291 g"], []]).or eq([["1 kg", "510 g"], []])
    expect(amounts.call("10,000 g").last).to match([/can be read in two ways/])
  end

  it "takes the way round that a column's own days tell, and asks where nothing tells" do
    inside(who) { |house| house.household.update(day_order: "mdy") }
    list = lambda do |*days|
      "food,amount,place,best before\n#{days.map { |day| "honey,450 g,cupboard,#{day}" }.join("\n")}\n"
    end
    read = lambda do |*days|
      preview(list.call(*days)).then { |seen| [seen["rows"].map { |row| row["date"] }, seen["problems"].size] }
    end
    expect(read.call("31.05.2028", "01.06.2028")).to eq([%w[2028-05-31 2028-06-01], 0])
    expect(read.call("05.31.2028", "06.01.2028")).to eq([%w[2028-05-31 2028-06-01], 0])
    expect(read.call("06/01/2028")).to eq([%w[2028-06-01], 0])
    expect(read.call("01.06.2028").last).to eq(1)
  end

  it "knows common foods by their German, French and Spanish words, and reads a word that means two as usual" do
    text = "Lebensmittel;Inhalt\nKichererbsen;400 g\nHaferflocken;500 g\npois chiches;400 g\nleche de coco;400 ml\n"
    expect(preview(text)["rows"].map { |row| row["food"] }).to eq(
      ["Chickpeas, canned", "Rolled oats", "Chickpeas, canned", "Coconut milk, canned"]
    )
    expect(preview("Lebensmittel;Inhalt\nPaprika;100 g\nAnanas;400 g\n")["rows"].first["food"]).to eq("Paprika, ground")
  end

  it "reads a byte order mark, quoted newlines, noun counts and plain pieces" do
    text = "\uFEFFfood,amount,note\n\"Honey\",2 jars,\"from the\nneighbour\"\neggs,12,\nrolled oats,1.2 kg,\n"
    seen = preview(text)
    expect(seen["rows"].map { |row| row["amount"] }).to eq(["2 jars", "12", "1.2 kg"])
    expect(seen["encoding"]).to eq("UTF-8")
  end

  it "names every problem by line, column and reason, and takes nothing in" do
    text =
      "food,amount,place,best before,price\nhoney,450 g,cupboard,31.2.2028,5\nunobtainium,2 " \
      "kg,cupboard,,\nhoney,lots,attic,,abc\nhoney,450 g,cupboard,2028-05-31,5.20\n"
    seen = preview(text)
    expect(seen["ready"]).to be(false)
    expect(seen["problems"].map { |problem| problem.values_at("line", "column") }).to eq(
      [[2, "best before"], [3, "food"], [4, "place"], [4, "amount"], [4, "price"]]
    )
    refused = bring(text)
    expect(refused).to include("code" => "import_refused", "status" => 422)
    expect(refused["errors"].size).to eq(5)
    expect(stacks).to be_empty
  end

  it "proposes foods for words it does not know and takes the choice for every line" do
    text = "food,amount\nOma's stew,2 jars\nOma's stew,1 jar\n"
    seen = preview(text)
    expect(seen["unknown_foods"]).to match([include("text" => "Oma's stew", "lines" => 2)])
    chosen = { "Oma's stew" => food_id(who, "canned-beef-stew") }
    expect(preview(text, foods: chosen)["ready"]).to be(true)
    expect(bring(text, foods: chosen)["stacks"]).to eq(2)
  end

  it "asks which place a word means, and takes the answer for every line" do
    text = "food,amount,place\nhoney,450 g,Attic\nhoney,450 g,Attic\n"
    expect(preview(text)["unknown_places"]).to eq([{ "text" => "Attic", "lines" => 2, "kind" => "cupboard" }])
    expect(preview(text, places: { "Attic" => cupboard })["ready"]).to be(true)
    expect(bring(text, places: { "Attic" => cupboard })["stacks"]).to eq(2)
  end

  it "takes the place that is called so where several are of that kind" do
    act(:AddPlace, who, { name: "Loft", kind: "cupboard" })
    expect(preview("Artikel;Menge;Lagerort\nHoney;2;Vorrat\n")["rows"].first["place"]).to eq("Cupboard")
  end

  it "lets the guess at a column be changed" do
    text = "what,when\nhoney,2028-05-31\n"
    expect(preview(text)["columns"].map { |column| column["field"] }).to eq(["food", nil])
    expect(preview(text, columns: { "1" => "best_before" })["rows"].first["date"]).to eq("2028-05-31")
  end

  it "finds the headings where they stand, or says that there are none, and lets that be changed" do
    titled = "Pantry of Sallow House,,\n,,\nfood,amount,place\nhoney,450 g,cupboard\n"
    expect(preview(titled)).to include("heading" => 3, "total" => 1, "ready" => true)
    bare = "honey,450 g,cupboard\neggs,12,fridge\n"
    seen = preview(bare)
    expect(seen).to include("heading" => 0, "total" => 2)
    expect(seen["columns"].map { |column| column["field"] }).to eq(["food", nil, nil])
    expect(seen["unread"].map { |column| column.values_at("heading", "cells") }).to eq(
      [["column 2", 2], ["column 3", 2]]
    )
    expect(
      preview(bare, columns: { "1" => "amount", "2" => "place" })["rows"].map { |row| row.values_at("amount", "place") }
    ).to eq([["450 g", "Cupboard"], %w[12 Fridge]])
    expect(preview(titled, heading: 1)["columns"].first["heading"]).to eq("Pantry of Sallow House")
  end

  it "counts a unit that stands in a heading for every cell below" do
    rows = preview("food,How many,Weight (oz)\nrolled oats,2,18\nhoney,1,12\n")["rows"]
    expect(rows.map { |row| row["amount"] }).to eq(["2 x 510 g", "340 g"])
    expect(preview("Artikel;Anzahl;Packung\nHoney;6;400 g\n")["rows"].first["amount"]).to eq("6 x 400 g")
    expect(preview("food,Menge in kg\nwhite rice,2.5\n")["rows"].first["amount"]).to eq("2.5 kg")
  end

  it "takes neither notes nor brands for names, and says that they are not read" do
    seen = preview("food,amount,notes,brand\nhoney,450 g,from the market,Acme\n")
    expect(seen["unread"].map { |column| column["heading"] }).to eq(%w[notes brand])
    bring("food,amount,notes,brand\nhoney,450 g,from the market,Acme\n")
    expect(stacks.first["name"]).to eq("Honey")
  end

  it "asks about sums, and leaves out what it is told to" do
    text = "food,amount\nhoney,450 g\nTOTAL,450 g\n"
    expect(preview(text)["problems"]).to match([include("line" => 3, "reason" => /looks like a sum/)])
    expect(preview(text, skip: [3])).to include("ready" => true, "total" => 1)
    expect(bring(text, skip: [3])["stacks"]).to eq(1)
  end

  it "points out lines that stand twice, and a list that came before and was not taken back" do
    text = "food,amount\nhoney,450 g\neggs,12\nhoney,450 g\n"
    expect(preview(text)).to include(
      "before" => nil,
      "notes" =>
        [{ "line" => 4, "text" => /same as line 2/ }].map do |note|
          include(note.transform_values { |value| value.is_a?(Regexp) ? match(value) : value })
        end
    )
    done = bring(text)
    expect(preview(text)["before"]).to match(/brought in on 24 Nov 2026 by Keeper/)
    expect(preview("#{text}salt,1 kg\n")["before"]).to be_nil
    tell("/api/acts/#{done["act_id"]}/undo")
    expect(preview(text)["before"]).to be_nil
  end

  it "puts lines without a place where such food belongs" do
    text = "food,amount,frozen\nhoney,450 g,\nwhole milk,1 l,\nfrozen peas,1 kg,\nbeef mince,500 g,2026-11-20\n"
    homes = { cupboard: cupboard, fridge: place_id(who, "fridge"), freezer: place_id(who, "freezer") }
    content = { content: Base64.strict_encode64(text) }
    expect(tell("/api/import/preview", { **content, default_places: homes })["rows"].map { |row| row["place"] }).to eq(
      %w[Cupboard Fridge Freezer Freezer]
    )
    expect(
      tell("/api/import/preview", { **content, default_places: { cupboard: cupboard } })["problems"].map do |problem|
        problem["line"]
      end
    ).to eq([3, 4, 5])
  end

  it "takes no day of purchase for unknown, never for today" do
    bring("food,amount\nhoney,450 g\n")
    expect(lot(who, stacks.first["id"])).to have_attributes(acquired_on: nil, usable_until: nil)
  end

  it "counts the same list once, and undoes it as one act" do
    text = "food,amount\nhoney,450 g\nhoney,450 g\n"
    done =
      Array
        .new(2) do
          tell("/api/import", { content: Base64.strict_encode64(text), place_id: cupboard }, key: "one-intent-only")
        end
        .uniq
    expect([done.size, stacks.size]).to eq([1, 2])
    tell("/api/acts/#{done.first["act_id"]}/undo")
    expect(stacks).to be_empty
  end

  it "refuses what is no table, in words" do
    ["", "   ", "\u0000\u0001", "a,b\n\"broken"].each { |text| expect(preview(text)).to include("code" => "invalid") }
    expect(tell("/api/import/preview", { content: "***" })).to include("code" => "invalid")
  end

  it "writes a list that reads in again to the same stock, formulas defused" do
    put_away(
      who, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before",
      price_minor: 267, label: "=HYPERLINK(1)"
    )
    put_away(
      who, "jam", "cupboard", count: "0.5", amount: nil, unit: nil, noun: "jar", state: "opened",
      opened_on: "2026-11-12"
    )
    put_away(
      who, "eggs", "fridge", count: "7", amount: "1", unit: "piece", printed_on: "2026-12-07",
      printed_kind: "best_before", price_minor: 210
    )
    put_away(
      who, "beef-mince", "freezer", amount: "400", frozen_on: "2026-11-20", printed_on: "2026-11-23",
      printed_kind: "use_by"
    )
    text = ask("/api/export.csv")
    expect(text).to include("'=HYPERLINK(1)")
    before = facts(stacks)
    sign_in(household!)
    tell("/api/import", { content: Base64.strict_encode64(text) })
    expect(facts(stacks)).to eq(before)
  end

  it "takes what is not to eat out as set apart, and lets no stack come back good for longer" do
    recalled =
      put_away(
        who, "canned-sardines", "cupboard", count: "2", printed_on: "2028-05-31", printed_kind: "best_before",
        lot_text: "L77"
      )[
        "lot_id"
      ]
    act(:Quarantine, who, { lot_ids: [recalled], reason: "recall" })
    bad =
      put_away(who, "plain-yoghurt", "fridge", amount: "500", printed_on: "2026-12-05", printed_kind: "best_before")[
        "lot_id"
      ]
    act(:Look, who, { lot_id: bad, result: "bad" })
    turning =
      put_away(who, "cheddar", "fridge", amount: "400", printed_on: "2027-01-20", printed_kind: "best_before")["lot_id"]
    act(:Look, who, { lot_id: turning, result: "turning" })
    thawed =
      put_away(who, "beef-mince", "fridge", amount: "500", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
    freezer = place_id(who, "freezer")
    [freezer, place_id(who, "fridge")].each { |place| act(:Move, who, { lot_id: thawed, place_id: place }) }
    undated = put_away(who, "cooked-chicken", "fridge", amount: "300", state: "leftover")["lot_id"]
    inside(who) do |house|
      house.lots.update(
        undated, made_on: nil, acquired_on: nil, known_on: nil, usable_until: nil, quality_until: nil,
        safety_until: nil
      )
    end
    put_away(
      who, "fresh-parsley", "fridge", count: "1", amount: nil, unit: nil, noun: "bunch", method: "water",
      directions: "Change the water"
    )
    before = stacks.to_h { |stack| [stack["food"], stack.values_at("state", "usable_until")] }
    text = ask("/api/export.csv")
    expect(text).to include("its last good day stands here as a use-by")
    other = sign_in(household!)
    tell("/api/import", { content: Base64.strict_encode64(text) })
    expect(status).to eq(200)
    after = stacks.to_h { |stack| [stack["food"], stack.values_at("state", "usable_until")] }
    expect(after.keys).to match_array(before.keys)
    before.each do |food, (state, until_on)|
      next expect([food, after[food].first]).to eq([food, "stop"]) if state == "stop" || until_on.nil?

      expect([food, after[food].last.to_s <= until_on.to_s]).to eq([food, true])
    end
    lots = inside(other) { |house| house.lots.all }
    expect(lots.map(&:lot_text)).to include("L77")
    expect(lots.find { |lot| lot.method == "water" }).to have_attributes(directions: "Change the water")
  end

  def facts(list)
    list
      .map do |stack|
        stack.values_at("food", "name", "amount", "on_hand", "state", "usable_until", "open", "value_minor")
      end
      .sort_by(&:to_s)
  end

  it "takes ten thousand lines in one go" do
    text =
      "food,count,size,best before,price\n#{
        Array
          .new(10_000) do |number|
            "Chickpeas, canned,#{(number % 9) + 1},400 g,#{2027 + (number % 3)}-0#{(number % 9) + 1}-15,1." \
            "#{(number % 90) + 10}\n".sub(
              "Chickpeas, canned",
              '"Chickpeas, canned"'
            )
          end
          .join
      }"
    expect(preview(text)).to include("total" => 10_000, "problem_count" => 0, "rows" => have_attributes(size: 10_000))
    expect(bring(text)).to include("stacks" => 10_000)
    inside(who) { |house| expect(house.lots.out_of_balance).to be_empty }
  end
end
