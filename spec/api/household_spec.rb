# frozen_string_literal: true

require_relative "../support/api"
require "open3"

RSpec.describe "The household", :api do
  let!(:ines) { sign_in(household!) }

  # Another library, in another language, reads what ours wrote.
  def parsed(text)
    script =
      "const I=require('ical.js').default||require('ical.js');let " \
      "t='';process.stdin.on('data',d=>t+=d).on('end',()=>{const c=new I.Component(I.parse(t));" \
      "console.log(JSON.stringify(c.getAllSubcomponents('vevent').map(v=>{const e=new I.Event(v);return " \
      "{uid:e.uid,on:e.startDate.toString(),days:e.startDate.isDate,summary:e.summary,text:e.description}})))})"
    output, error, status =
      Open3.capture3("node", "-e", script, stdin_data: text, chdir: File.expand_path("../../ui", __dir__))
    raise error unless status.success?

    JSON.parse(output)
  end

  it "invites by a link that works once, and lets a helper count but not change rules" do
    path = tell("/api/members/invite", { name: "Juna", role: "helper" })["path"]
    token = path.split("#").last
    expect(ask("/api/people")["invitations"].map { |row| row["name"] }).to eq(["Juna"])
    clear_cookies
    @csrf = nil
    expect(tell("/api/join/look", { token: token })).to include("name" => "Juna", "role" => "helper", "email" => nil)
    tell("/api/join", { token: token, password: "a long password" })
    expect(status).to eq(422)
    tell("/api/join", { token: token, email: "juna-#{rand(10**9)}@example.test", password: "a long password" })
    expect(status).to eq(200)
    @csrf = nil
    expect(ask("/api/session")["person"]).to eq("name" => "Juna", "role" => "helper")
    place = ask("/api/places")["places"].first["id"]
    expect(tell("/api/counts", { place_id: place })["count_id"]).to be_positive
    refused = [
      ["/api/ways", { school: "by_the_date" }],
      ["/api/places/#{place}/change", { reach: "away" }],
      ["/api/members/invite", { name: "X", role: "keeper" }],
      [
        "/api/keeping/#{food_id(ines, "honey")}/own",
        { place: "cupboard", state: "opened", low: 1, high: 2, reason: "because" }
      ],
      ["/api/people", { name: "X", portion_factor: "1" }],
      ["/api/keeping/#{food_id(ines, "honey")}/figures", { weekly_said: "1" }]
    ]
    refused.each { |route, body| expect([tell(route, body)["code"], status]).to eq(["keeper_only", 403]) }
    ask("/api/backup.json")
    expect(status).to eq(403)
    expect(ask("/api/people")).to include("members" => [], "invitations" => [])
    again = tell("/api/join", { token: token, email: "again@example.test", password: "a long password" })
    expect([status, again["title"]]).to eq([404, "This link was used, taken back or is too old."])
    expect(ask("/api/places/999999999/photo")).to include("title" => "There is no picture of it.")
  end

  it "lets a member of a restored household choose a new password by their own link" do
    token = "restored-#{rand(10**12)}-link"
    inside(ines) do |house|
      house.db[:invitations].insert(
        household_id: ines.household_id,
        account_id: ines.account_id,
        for_account_id: ines.account_id,
        name: "Ines",
        role: "keeper",
        token_hash: NutShelf::Store::Access.hash(token)
      )
    end
    email = services.database.outside { |db| db[:accounts].where(id: ines.account_id).get(:email) }
    clear_cookies
    @csrf = nil
    expect(tell("/api/join/look", { token: token })["email"]).to eq(email)
    tell("/api/join", { token: token, password: "quite another one" })
    expect(status).to eq(200)
    clear_cookies
    @csrf = nil
    send_json("/api/login", { login: email, password: "quite another one" })
    expect(status).to eq(200)
    @csrf = nil
    expect(ask("/api/session")["person"]["role"]).to eq("keeper")
  end

  it "lets only one of two in who hold the same link" do
    token = tell("/api/members/invite", { name: "Guest", role: "helper" })["path"].split("#").last
    answers =
      Array.new(2) do |number|
        session = Rack::Test::Session.new(app)
        csrf = JSON.parse(session.get("/api/session").body)["csrf"]
        body =
          JSON.generate(
            { token: token, email: "guest#{number}-#{rand(10**9)}@example.test", password: "a long password" }
          )
        Thread.new do
          session.post("/api/join", body, { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => csrf }).status
        end
      end
    expect(answers.map(&:value)).to contain_exactly(200, 404)
  end

  it "takes an invitation back, and changes and ends a membership" do
    made = tell("/api/members/invite", { name: "Guest", role: "helper" })
    tell("/api/members/#{made["invitation_id"]}/revoke")
    expect(tell("/api/join/look", { token: made["path"].split("#").last })["code"]).to eq("not_found")
    other =
      services.database.outside do |db|
        db[:accounts]
          .insert(email: "tomas-#{rand(10**9)}@example.test", name: "Tomas")
          .tap { |id| db[:memberships].insert(account_id: id, household_id: ines.household_id, role: "helper") }
      end
    tell("/api/members/#{other}/role", { role: "keeper" })
    expect(ask("/api/people")["members"].map { |row| row["role"] }).to eq(%w[keeper keeper])
    tell("/api/members/#{other}/role", { role: nil })
    expect(ask("/api/people")["members"].size).to eq(1)
    expect(tell("/api/members/#{ines.account_id}/role", { role: nil })["code"]).to eq("last_keeper")
  end

  it "gives a private calendar that an independent reader understands, until it is revoked" do
    id =
      put_away(
        ines, "plain-yoghurt", "fridge", amount: "500", printed_on: "2026-12-03", printed_kind: "use_by",
        label: "Yoghurt; plain, \"thick\""
      )[
        "lot_id"
      ]
    tell("/api/care", { title: "Refresh the water", first_on: "2026-11-30", every_months: 6 })
    feed = tell("/api/feeds")
    clear_cookies
    get(feed["path"])
    expect([status, last_response.headers["content-type"]]).to eq([200, "text/calendar;charset=utf-8"])
    events = parsed(last_response.body)
    house = inside(ines) { |store| store.household.row.uid }
    name = "stack-#{id}@#{house}.nut-shelf.invalid"
    expect(house).not_to eq(inside(household!) { |store| store.household.row.uid })
    expect(last_response.body.scan("BEGIN:VALARM").size).to eq(2)
    expect(events).to contain_exactly(
      include(
        "uid" => name, "on" => "2026-12-03", "days" => true, "summary" => "Last good day: Yoghurt; plain, \"thick\"",
        "text" => "500 g in Fridge"
      ),
      include("on" => "2026-11-30", "summary" => "Refresh the water")
    )
    @csrf = nil
    sign_in(ines)
    tell("/api/feeds/#{feed["feed_id"]}/revoke")
    get(feed["path"])
    expect(status).to eq(404)
    get("/api/calendar/#{"x" * 32}.ics")
    expect(status).to eq(404)
  end

  it "takes a frozen stack out to thaw for a planned meal" do
    recipe =
      inside(ines) do |house|
        house.recipes.values.find { |_, one| one.lines.any? { |line| line.food_key == "chicken-thighs" } }.first
      end
    put_away(
      ines, "chicken-thighs", "freezer", amount: "2000", frozen_on: "2026-11-20", printed_on: "2026-11-21",
      printed_kind: "use_by"
    )
    tell("/api/meals", { recipe_id: recipe, on: "2026-11-27" })
    feed = tell("/api/feeds")
    get(feed["path"])
    expect(parsed(last_response.body)).to include(
      include("on" => "2026-11-26", "summary" => "Take out to thaw: #{services.catalog.food("chicken-thighs").name}")
    )
    clock.day = Date.new(2026, 11, 26)
    expect(ask("/api/today")["thaw"].first).to include("place" => "Freezer", "hours" => 12)
  end

  it "changes its ways with a version, so that two keepers do not overwrite each other" do
    version = ask("/api/people")["ways"]["version"]
    tell("/api/ways", { version: version, settings: { front_days: 5 } })
    expect(ask("/api/people")["ways"]["front_days"]).to eq(5)
    expect(tell("/api/ways", { version: version, name: "Other" })["code"]).to eq("stale")
  end

  it "goes out whole as one document" do
    document = ask("/api/backup.json")
    expect(document).to include("format" => "nut-shelf-household", "version" => NutShelf::Store::Backup::VERSION)
  end

  describe "How a household writes" do
    let(:ines) { sign_in(household!) }

    def ways(**changes) = tell("/api/ways", { version: ask("/api/people")["ways"]["version"], **changes })

    def line(text) = tell("/api/label-line", { text: text })

    before { ines }

    it "says whose quarts it means, for lines and lists alike, and an undo takes that back" do
      expect(line("1 qt milk")["amount"].to_f).to be_within(0.01).of(1136.52)
      done = ways(settings: { measures: "us" })
      expect(status).to eq(200)
      expect(line("1 qt milk")["amount"].to_f).to be_within(0.01).of(946.35)
      csv = "food,amount,place\nWhole milk,1 qt,Fridge\n"
      preview = tell("/api/import/preview", { content: Base64.strict_encode64(csv) })
      expect(preview["rows"].first["amount"]).to eq("1 qt")
      tell("/api/acts/#{done["act_id"]}/undo")
      expect(line("1 qt milk")["amount"].to_f).to be_within(0.01).of(1136.52)
    end

    it "says amounts as it measures, and packs as they are printed" do
      ways(settings: { measures: "us" })
      shelf =
        [{ count: "2", amount: "425.242847" }, { amount: "500" }].map do |size|
          put_away(ines, "dry-pasta", "cupboard", **size)["lot_id"]
        end
      expect(shelf.map { |id| ask("/api/stacks/#{id}")["stack"]["amount"] }).to eq(["2 x 15 oz", "500 g"])
      tell("/api/stacks/#{shelf[1]}/take", { amount: "100" })
      expect(ask("/api/stacks")["stacks"].map { |stack| stack["amount"] }).to contain_exactly(
        "2 x 15 oz",
        "14.1 oz, open"
      )
      sizes = ask("/api/foods?find=pasta")["foods"].find { |food| food["key"] == "dry-pasta" }["packs"]
      expect(sizes.map { |size| size["words"] }).to include("15 oz", "500 g")
    end

    it "reads the languages it writes in, and never guesses at others" do
      foreign = line("2 Dosen Mais MHD 05/28")
      expect([foreign["food"], foreign["questions"].map { |question| question["text"] }.join]).to match(
        [nil, /Mais is of another/]
      )
      ways(settings: { languages: ["de"] })
      read = line("2 Dosen Mais MHD 05/28")
      expect(read).to include("count" => "2", "date" => "2028-05-31", "date_kind" => "best_before", "unread" => [])
      expect(read["food"]["name"]).to include("Sweetcorn")
    end

    it "writes dates in its order, and keeps its money once a price is stored" do
      ways(day_order: "mdy", currency: "USD")
      expect(ask("/api/session")["household"]).to include("day_order" => "mdy", "currency" => "USD")
      expect(line("honey 450 g bb 5/31/28")["date"]).to eq("2028-05-31")
      put_away(ines, "honey", "cupboard", price_minor: 300)
      expect(ask("/api/people")["ways"]).to include("currency_fixed" => true)
      expect(ways(currency: "EUR")).to include("code" => "priced")
      expect(status).to eq(409)
    end
  end
end
