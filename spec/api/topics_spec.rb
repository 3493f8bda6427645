# frozen_string_literal: true

require_relative "../support/api"
require_relative "../../bench/replay"

# A view may be answered from memory only while nothing it reads of has changed. What it reads is what its SQL says.
RSpec.describe "What views read of", :api do
  let!(:ines) { sign_in(household!) }
  let!(:stack) { put_away(ines, "honey", "cupboard")["lot_id"] }
  let!(:back) { put_away(ines, "canned-chickpeas", "cupboard", count: "4")["lot_id"] }
  let!(:meal) do
    recipe = inside(ines) { |house| house.recipes.values.keys.first }
    act(:PlanMeal, ines, { recipe_id: recipe, on: HouseSupport::TODAY.iso8601 })["meal_id"]
  end

  let!(:occasion) do
    act(:KeepOccasion, ines, { name: "Piet's birthday", recurrence: { kind: "date", month: 12, day: 5 },
                               meal: "dinner", serve_at: "18:30" })["occasion_id"]
  end

  let!(:kit) { act(:SetKit, ines, { name: "Ferry box", days: 7 })["kit_id"] }

  paths = %w[
    today stacks stacks/STACK recipes recipes/RECIPE foods foods?usual=yes places places/PLACE places/PLACE/check meals
    meals/MEAL plan plan/audit occasions occasions/OCCASION print/week
    print/occasions/OCCASION print/kits/KIT/menu print/kits/KIT/boxes
    dishes list bought look-back look-back/by/shop look-back/by/pack/behind?key=400-mass
    look-back/advice look-back/give-away kits kits/lasting kits/KIT kits/KIT/closing kits/KIT/menu
    kits/KIT/boxes kits/KIT/refresh outages/prepared
    bring-forward
    containers care counts people keeping/FOOD barcodes recall?food_id=FOOD acts
  ]

  def filled(path)
    {
      "STACK" => stack,
      "PLACE" => place_id(ines, "cupboard"),
      "MEAL" => meal,
      "OCCASION" => occasion,
      "RECIPE" => inside(ines) { |house| house.recipes.values.keys.first },
      "KIT" => kit,
      "FOOD" => food_id(ines, "honey")
    }.reduce("/api/#{path}") { |text, (word, id)| text.sub(word, id.to_s) }
  end

  def tables_of(path)
    services.forget
    replay = Replay.of(services.database.sequel) { get path }
    expect(last_response.status).to eq(200), last_response.body[0, 200]
    replay.reads.flat_map { |sql| sql.scan(/(?:FROM|JOIN) "?(\w+)"?/).flatten }.map(&:to_sym).uniq
  end

  def raise_topic(topic)
    inside(ines) do |house|
      house.db[:households].where(id: ines.household_id).update(
        NutShelf::Store::Topics.column(topic) => Sequel.lit("revision + 1"),
        :revision => Sequel[:revision] + 1
      )
    end
  end

  paths.each do |path|
    it "names all of it: #{path}" do
      tables = tables_of(filled(path))
      topics = NutShelf::Store::Topics::TABLES.select { |_, list| list.intersect?(tables) }.keys
      expect(tables).not_to be_empty
      topics.each do |topic|
        get filled(path)
        tag = last_response["etag"]
        raise_topic(topic)
        get filled(path), {}, { "HTTP_IF_NONE_MATCH" => tag }
        expect([topic, last_response.status]).to eq([topic, 200])
      end
    end
  end

  it "leaves the shelf and today alone while somebody counts" do
    %w[stacks today].each do |path|
      get "/api/#{path}"
      tag = last_response["etag"]
      count = act(:StartCount, ines, { place_id: place_id(ines, path == "today" ? "fridge" : "cupboard") })["count_id"]
      act(:EnterRest, ines, { count_id: count, found: "as_expected" })
      get "/api/#{path}", {}, { "HTTP_IF_NONE_MATCH" => tag }
      expect([path, last_response.status]).to eq([path, 304])
    end
  end

  describe "the feed of changes" do
    def changes(since = nil)
      get "/api/changes#{since && "?since=#{since}"}"
      JSON.parse(last_response.body)
    end

    it "says where to start, and nothing while nothing happens" do
      start = changes
      expect(start).to include(
        "topics" => %w[stock plan people counts list rules],
        "stacks" => nil,
        "today" => HouseSupport::TODAY.iso8601
      )
      expect(changes(start["revision"])).to include("revision" => start["revision"], "topics" => [], "stacks" => [])
    end

    it "names the topics that changed, and the stacks an act touched" do
      start = changes["revision"]
      act(:Take, ines, { lot_id: back, amount: "100" })
      now = changes(start)
      expect(now).to include("topics" => ["stock"])
      expect(now["stacks"]).to include(back)
      act(:SetHousehold, ines, { settings: { front_days: 4 } })
      expect(changes(now["revision"])).to include("topics" => ["rules"], "stacks" => nil)
      expect(changes(start)["topics"]).to contain_exactly("stock", "rules")
    end

    it "tells who asks from a number that never was to read everything" do
      expect(changes(10**9)["topics"]).to eq(%w[stock plan people counts list rules])
    end

    it "gives up naming stacks where there are too many" do
      start = changes["revision"]
      41.times { put_away(ines, "honey", "cupboard") }
      expect(changes(start)["stacks"]).to be_nil
    end
  end
end
