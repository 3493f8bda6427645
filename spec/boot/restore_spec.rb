# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../boot/restore"

# A backup is a file from elsewhere: nothing in it is taken on trust.
RSpec.describe NutShelf::Boot::Restore do
  stays_empty = "nut_shelf_restore_empty"
  let(:ines) { household! }
  let(:unfit) { NutShelf::Store::Backup::Unfit }
  let(:tin) do
    put_away(ines, "canned-chickpeas", "cupboard", count: "5", printed_on: "2028-05-31", printed_kind: "best_before")[
      "lot_id"
    ]
  end
  let(:mince) { put_away(ines, "beef-mince", "fridge", printed_on: "2026-11-20", printed_kind: "use_by")["lot_id"] }

  before do
    tin
    mince
  end

  def whole = JSON.parse(inside(ines) { |house| NutShelf::Store::Backup.write(house.db, ines.household_id) })

  # The shipped dishes and the foods nobody has are most of a document, and nothing of what is tried here.
  def document
    dishes = %w[recipes recipe_lines recipe_substitutes recipe_texts dishes].to_h { |table| [table, []] }
    whole.tap do |file|
      used = file["tables"]["lots"].map { |row| row["food_id"] }
      foods = file["tables"]["foods"].select { |row| used.include?(row["id"]) }
      file["tables"].merge!(dishes, "foods" => foods) if file["tables"]["meals"].empty?
    end
  end

  # Somebody who can write the file can write its digest too.
  def signed(document) = JSON.generate({ **document, "digest" => NutShelf::Store::Backup.digest(document) })

  # An empty house once migrated is copied as it stands.
  define_method(:copy_of_empty) do |url|
    empty(stays_empty, keep: true) { nil }
    name = NutShelf::Store::Owner.name_of(url)
    NutShelf::Store::Owner.one_at_a_time(url) { |db| db.run("CREATE DATABASE #{name} TEMPLATE #{stays_empty}") }
  end

  # What is refused leaves nothing behind, so one empty instance serves all that are refused.
  define_method(:empty) do |name = "nut_shelf_restore_fresh", keep: false, &block|
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/#{name}")
    unless keep && HouseSupport.made.include?(name)
      NutShelf::Store::Owner.drop(url)
      copy_of_empty(url) unless name == stays_empty
      NutShelf::Boot::Wiring.migrated(url)
      HouseSupport.made << name
    end
    Sequel.connect(url) { |db| block.call(NutShelf::Store::Database.prepare(db)) }
  end

  it "brings the household back, dated by the rules in force" do
    forged = document
    forged["tables"]["lots"]
      .find { |row| row["id"] == mince }
      .merge!("safety_until" => "2099-01-01", "usable_until" => "2099-01-01", "strict_until" => "2099-01-01")
    empty do |db|
      id = described_class.call(db, signed(forged))
      expect(db[:lots].where(id: mince).get(:usable_until)).to eq(Date.new(2026, 11, 20))
      expect(db[:households].where(id: id).get(:dated_by)).to eq(NutShelf::Desk::Redate::RULES)
    end
  end

  # What each version added, so that a file of an older one can be made.
  added = {
    16 => {
      "places" => %w[cold_kind off_spans], "trips" => %w[shops carried_by gas_used_g boiled_ml],
      "trip_meals" => %w[soaked]
    },
    15 => {
      "reservations" => %w[trip_id]
    },
    14 => {
      "places" => %w[checked_on]
    },
    13 => {
      "people" => %w[born_on age age_on sex kg activity pregnant nursing formula_fed dislikes],
      "places" => %w[kit_id kit_box], "reservations" => %w[kit_id], "lots" => %w[opening], "packs" => %w[opening]
    },
    12 => {
      "wants" => %w[largest freeze]
    },
    11 => {
      "price_observations" => %w[shop_id]
    },
    10 => {
      "recipe_lines" => %w[made]
    },
    8 => {
      "recipe_lines" => %w[position text],
      "recipes" => %w[notes own source]
    },
    7 => {
      "meals" => %w[choices from_meal_id kind lot_id note pinned version]
    },
    6 => {
      "lots" => %w[by_school],
      "recipes" => %w[follows_id version]
    },
    5 => {
      "movements" => %w[days_left looked state]
    },
    4 => {
      "foods" => %w[home_place_id]
    },
    3 => {
      "acts" => %w[device sequence],
      :household => "uid"
    },
    2 => {
      "acts" => %w[role],
      "foods" => %w[allergens],
      "lots" => %w[age_unknown known_on look_first strict_until]
    }
  }
  # As versions up to the fifth told of meals, and of what stacks came from.
  def told_apart(tables)
    meals, records = tables["record_events"].partition { |one| one["record"] == "meal" }
    split = tables["lot_sources"].select { |one| one["kind"] == "split" }
    split = split.to_h { |one| one.values_at("lot_id", "source_lot_id") }
    {
      **tables.except("lot_sources", "recipe_substitutes", "reservations"),
      "recipe_lines" => with_substitutes(tables),
      "record_events" => records,
      "meal_events" => meals.map do |one|
        { **one.slice("id", "act_id", "before", "after"), "meal_id" => one["record_id"] }
      end,
      "lots" => tables["lots"].map { |lot| { **lot, "parent_lot_id" => split[lot["id"]] } }
    }
  end

  def with_substitutes(tables)
    keys = tables["foods"].to_h { |food| [food["id"], food["reference_key"] || food["key"]] }
    of = tables["recipe_substitutes"].group_by { |one| one["line_id"] }
    tables["recipe_lines"].map do |line|
      { **line, "substitutes" => of.fetch(line["id"], []).to_h { |one| [keys[one["food_id"]], one["factor"]] } }
    end
  end

  define_method(:as_of) do |version|
    old = document.merge("version" => version)
    old["tables"] = old["tables"].except("own_bags") if version < 17
    old["tables"] = old["tables"].except("season_lines") if version < 16
    old["tables"] = old["tables"].except("batches", "trips", "trip_meals", "box_wants") if version < 15
    old["tables"] = old["tables"].except("pets", "kits", "events", "outages") if version < 13
    old["tables"] = told_apart(old["tables"]) if version < 6
    old["tables"] = old["tables"].except("occasions", "occasion_times", "dish_photos") if version < 9
    old["tables"] = old["tables"].except("recipe_texts", "dishes") if version < 8
    old["tables"] = old["tables"].except("meal_slots", "meal_patterns", "plan_spans") if version < 7
    added.select { |number, _| number > version }.each_value do |what|
      old["household"].delete(what[:household])
      what
        .except(:household)
        .each { |table, names| old["tables"].fetch(table, []).each { |row| names.each { |name| row.delete(name) } } }
    end
    old
  end

  (2...NutShelf::Store::Backup::VERSION).each do |version|
    it "brings back what version #{version} wrote, and checks its digest" do
      old = as_of(version)
      empty { |db| expect(described_class.call(db, signed(old))).to eq(ines.household_id) }
      empty(keep: true) do |db|
        expect { described_class.call(db, JSON.generate(old.merge("digest" => "0" * 64))) }.to raise_error(
          /digest does not fit/
        )
      end
    end
  end

  it "tells again what meals and stacks came from, where an older version had it elsewhere" do
    jar = act(:AddContainer, ines, { name: "Jar", kind: "jar", capacity_ml: 900 })["container_id"]
    poured = act(:Decant, ines, { lot_id: tin, container_id: jar, amount: "400" })["lot_id"]
    act(:TopUp, ines, { lot_id: poured, from_lot_id: tin, amount: "400" })
    recipe = inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first }
    meal = act(:PlanMeal, ines, { recipe_id: recipe, on: HouseSupport::TODAY.iso8601 })["meal_id"]
    kept = { portions: "1", place_id: place_id(ines, "fridge") }
    act(:Cook, ines, { meal_id: meal, used: [{ lot_id: tin, amount: "400" }], leftovers: kept })
    sources = ->(tables) { tables["lot_sources"].map { |one| one.values_at("lot_id", "source_lot_id", "kind") } }
    meals = lambda { |tables|
      tables["record_events"].select do |one|
        one["record"] == "meal"
      end.map { |one| one.except("id") }
    }
    now = document["tables"]
    raised = NutShelf::Store::OlderBackups.raised(as_of(5), 6)["tables"]
    expect(sources.call(now).map(&:last).uniq).to contain_exactly("split", "poured", "cooked")
    expect(sources.call(raised)).to match_array(sources.call(now))
    expect(meals.call(raised)).to eq(meals.call(now))
    # Sorted: to look for each of fifteen hundred among as many takes most of a minute.
    substitutes = ->(tables) { tables["recipe_substitutes"].map { |row| row.except("id").sort }.sort_by(&:to_s) }
    expect(substitutes.call(raised)).to eq(substitutes.call(now))
    empty { |db| expect(described_class.call(db, signed(as_of(5)))).to eq(ines.household_id) }
  end

  it "brings back what the first version wrote, which had no digest" do
    empty { |db| expect(described_class.call(db, JSON.generate(as_of(1).except("digest")))).to eq(ines.household_id) }
  end

  {
    "one changed letter" => [->(file) { file["household"]["name"] = "Other" }, /digest does not fit/, false],
    "a password of its own" => [
      ->(file) { file["accounts"].first["password_hash"] = "$argon2id$v=19$x" },
      %r{/accounts/0}
    ],
    "no members" => [->(file) { file["memberships"] = [] }, %r{/memberships}],
    "no keeper" => [->(file) { file["memberships"].each { |row| row["role"] = "helper" } }, %r{/memberships}],
    "a table left out" => [->(file) { file["tables"].delete("lots") }, %r{/tables}],
    "numbers at the edge" => [
      ->(file) { file["household"]["revision"] = 9_223_372_036_854_775_807 },
      %r{/household/revision}
    ],
    "a time zone that is a path" => [->(file) { file["household"]["time_zone"] = "../../etc/passwd" }, /no time zone/],
    "a reference to nothing" => [
      ->(file) { file["tables"]["movements"].first["lot_id"] = 999_999 },
      /refers to a row that is not there/
    ],
    "a row twice" => [->(file) { file["tables"]["lots"] << file["tables"]["lots"].first }, /stands in it twice/],
    "stock below zero" => [
      ->(file) { file["tables"]["movements"].first["quantity"] = "-5" },
      /cannot be: lots_never_below_zero/
    ],
    "stock with a value but no amount behind it" => [
      ->(file) { file["tables"]["lots"].first["on_hand"] = "99" },
      %r{/tables/lots/0}
    ],
    "places inside themselves" => [
      lambda do |file|
        file["tables"]["places"].first(2).each_cons(2) do |a, b|
          a["parent_id"] = b["id"]
          b["parent_id"] = a["id"]
        end
      end,
      /stands inside itself/
    ],
    "stacks in a place that was taken away" => [
      ->(file) { file["tables"]["places"].each { |row| row["archived_at"] = "2026-11-01T00:00:00.000000Z" } },
      /was taken away/
    ],
    "a story nobody can read" => [
      lambda do |file|
        file["tables"]["lots"].first["history"] = [{ "kind" => "moved", "on" => "not a day", "place_id" => 1 }]
      end,
      /cannot be read/
    ]
  }.each do |what, (change, words, again)|
    it "refuses #{what}, and leaves nothing behind" do
      file = document
      change.call(file)
      empty(stays_empty, keep: true) do |db|
        expect { described_class.call(db, again == false ? JSON.generate(file) : signed(file)) }.to raise_error(
          unfit,
          words
        )
        expect([db[:households].count, db[:accounts].count, db[:lots].count]).to eq([0, 0, 0])
      end
    end
  end
end
