# frozen_string_literal: true

require_relative "../support/doors"

# The door and everybody who should not get through it.
RSpec.describe "The door", :api do
  include Doors

  describe "signed out" do
    Doors::INSIDE.each do |verb, path|
      it "does not answer #{verb} #{path}" do
        call_route(verb, path)
        expect([status, JSON.parse(last_response.body)["code"]]).to eq([401, "signed_out"])
      end
    end
  end

  it "lets a helper take but not bring in or make places" do
    who = sign_in(household!)
    services.database.sequel.transaction do
      Sequel.connect(HouseSupport.owner_url) do |owner|
        owner[:memberships].where(account_id: who.account_id).update(role: "helper")
      end
    end
    stack = put_away(who, "honey", "cupboard")
    tell("/api/stacks/#{stack["lot_id"]}/take")
    expect(status).to eq(200)
    tell("/api/places", { name: "Attic", kind: "cupboard" })
    expect([status, JSON.parse(last_response.body)["code"]]).to eq([403, "keeper_only"])
    tell("/api/import", { content: "YQ==" })
    expect(status).to eq(403)
  end

  it "signs in and out, changes a password, and locks after many wrong tries" do
    who = sign_in(household!)
    expect(ask("/api/session")).to include("signed_in" => true)
    tell(
      "/api/change-password",
      { password: "a long password", "new-password": "another long one", "password-confirm": "another long one" }
    )
    expect(status).to eq(200)
    @csrf = nil
    tell("/api/logout")
    @csrf = nil
    expect(ask("/api/session")).to include("signed_in" => false, "person" => nil)
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    10.times { tell("/api/login", { login: email, password: "guess" }) }
    tell("/api/login", { login: email, password: "another long one" })
    expect(status).to eq(429)
  end

  it "remembers a device that was asked to stay signed in, and no other" do
    who = household!
    sign_in(who)
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    [true, false].each do |remember|
      clear_cookies
      @csrf = nil
      tell("/api/login", { login: email, password: "a long password", remember: remember })
      rack_mock_session.cookie_jar.delete("nut_shelf")
      expect(ask("/api/session")).to include("signed_in" => remember)
    end
  end

  it "asks for TLS in its cookies where there is some" do
    safe = Rack::Test::Session.new(built(secure: true))
    expect(safe.get("https://example.org/api/session").headers["set-cookie"].to_s.downcase).to include("secure")
  end

  it "closes an account, but not that of the only keeper" do
    ines = sign_in(household!)
    expect(tell("/api/close-account", { password: "a long password" })).to include(
      "code" => "last_keeper",
      "title" => /only keeper of House/
    )
    other = services.database.outside do |db|
      db[:accounts].insert(email: "o#{rand(10**9)}@example.test", name: "Other")
    end
    services.database.outside do |db|
      db[:memberships].insert(account_id: other, household_id: ines.household_id, role: "keeper")
    end
    feed = tell("/api/feeds")["path"]
    tell("/api/close-account", { password: "a long password" })
    expect(status).to eq(200)
    @csrf = nil
    expect(ask("/api/session")).to include("signed_in" => false, "account" => nil)
    get(feed)
    expect(status).to eq(404)
    expect(inside(ines) { |house| house.access.members.map(&:account_id) }).to eq([other])
  end

  it "slows guessing at the door" do
    slow = built(throttle: true)
    session = Rack::Test::Session.new(slow)
    token = JSON.parse(session.get("/api/session").body)["csrf"]
    codes =
      Array.new(45) do
        session.post("/api/login", "{}", { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token }).status
      end
    expect(codes).to include(429)
  end

  it "sends a strict policy and cookies no script can read" do
    ask("/api/session")
    policy = last_response.headers["content-security-policy"]
    expect(policy).to include("default-src 'none'", "script-src 'self'").and(
      satisfy { |text| !text.include?("unsafe") }
    )
    expect(last_response.headers["set-cookie"].to_s.downcase).to include("httponly", "samesite=lax")
  end

  it "says that the database is away, and comes back by itself" do
    sign_in(household!)
    broken = NutShelf::Store::Database.new(services.database.sequel)
    def broken.outside = raise(NutShelf::Store::Away, "gone")
    def broken.within(_) = raise(NutShelf::Store::Away, "gone")
    lost = built(services: NutShelf::Desk::Services.new(**services.to_h, database: broken))
    answer = Rack::Test::Session.new(lost).get("/api/session")
    expect([answer.status, JSON.parse(answer.body)["code"]]).to eq([503, "database_away"])
    expect(ask("/api/session")).to include("signed_in" => true)
  end

  describe "the first start" do
    let(:fresh) do
      url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_empty")
      NutShelf::Store::Owner.drop(url)
      app_url = NutShelf::Boot::Wiring.migrated(url)
      NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(app_url).to_h, clock: clock)
    end
    let(:app) { built(services: fresh) }
    let(:wanted) do
      {
        household: "Our house", name: "Ada", email: "ada@example.test", password: "long enough!",
        time_zone: "Europe/Dublin", currency: "EUR", day_order: "dmy", people: 3
      }
    end

    after { fresh.database.disconnect }

    it "makes the household and its keeper once, and never again" do
      expect(ask("/api/session")).to include("first_start" => true)
      expect(tell("/api/first-start", { **wanted, time_zone: "Nowhere/Town" })["errors"].first["pointer"]).to eq(
        "/time_zone"
      )
      expect(tell("/api/first-start", wanted)).to include(
        "signed_in" => true,
        "household" => include("name" => "Our house")
      )
      @csrf = nil
      expect(tell("/api/first-start", { **wanted, email: "eve@example.test" })).to include("code" => "started")
      expect(ask("/api/dishes")).to include("servings" => "3")
      expect(tell("/api/demo-sign-in")).to include("code" => "not_found")
    end
  end

  it "opens the demo's own door only in demo mode" do
    who = household!
    email = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }
    demo = Rack::Test::Session.new(built(demo_account: email))
    token = JSON.parse(demo.get("/api/session").body)["csrf"]
    answer =
      demo.post("/api/demo-sign-in", "{}", { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token })
    expect(JSON.parse(answer.body)).to include("signed_in" => true, "demo" => true)
    expect(ApiSupport::Checker.faults("post", "/api/demo-sign-in", answer)).to be_empty
  end

  it "agrees between two servers on one database" do
    who = sign_in(household!)
    second =
      Rack::Test::Session.new(
        built(
          services: NutShelf::Desk::Services.new(**NutShelf::Boot::Wiring.services(HouseSupport.app_url).to_h,
clock: clock)
        )
      )
    stack = put_away(who, "honey", "cupboard")
    second.set_cookie(rack_mock_session.cookie_jar.for(URI("http://example.org/")))
    seen = JSON.parse(second.get("/api/stacks").body)
    expect(seen["stacks"].map { |row| row["id"] }).to eq([stack["lot_id"]])
  end
end
