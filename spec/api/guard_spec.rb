# frozen_string_literal: true

require_relative "../support/api"
require_relative "../../store/accounts"

# What attackers tried: each once got through.
RSpec.describe "The guard", :api do
  let(:ines) { household! }

  def email(who) = services.database.outside { |db| db[:accounts].where(id: who.account_id).get(:email) }

  def person(household_id, role)
    id = services.database.outside { |db| db[:accounts].insert(email: "p#{rand(10**9)}@example.test", name: "Person") }
    services.database.outside { |db| db[:memberships].insert(account_id: id, household_id: household_id, role: role) }
    NutShelf::Desk::Caller.new(account_id: id, household_id: household_id, role: role)
  end

  # A request as the socket brings it, with nothing put right by a client's library.
  def raw(env) = Rack::MockRequest.env_for("http://example.org/", "HTTP_HOST" => "example.org").merge(env)

  describe "at the front" do
    it "refuses paths that could be read in two ways, before anything else" do
      %w[
        //api/first-start /api//join /api/session/ /api/./session /api/../api/session /api/%2e%2e/session
        /api%2Fsession /api/ses%00sion /api/%ff /api\\session
      ].each do |path|
        status, = app.call(raw("PATH_INFO" => path, "REQUEST_METHOD" => "POST"))
        expect([path, status]).to eq([path, 404])
      end
    end

    it "serves no resource that the guard has not passed on" do
      bare = NutShelf::Api::Session.new!
      answer =
        Rack::MockRequest.new(Class.new(NutShelf::Api::Session)).post(
          "/first-start",
          "HTTP_HOST" => "example.org",
          :input => "{}"
        )
      expect([bare.class, answer.status]).to eq([NutShelf::Api::Session, 401])
    end

    it "answers to its own names alone" do
      codes =
        %w[example.org EXAMPLE.ORG:9380 127.0.0.1:9380 localhost evil.example 169.254.169.254].map do |host|
          get("/api/session", {}, { "HTTP_HOST" => host }).status
        end
      expect(codes).to eq([200, 200, 200, 200, 421, 421])
    end

    it "refuses a body by what it claims to weigh, and what is no text" do
      sign_in(ines)
      { "/api/login" => 20_000, "/api/stacks" => 300_000, "/api/import" => 9_000_000 }.each do |path, bytes|
        post(path, "{}", { "CONTENT_LENGTH" => bytes.to_s, "CONTENT_TYPE" => "application/json" })
        expect(status).to eq(413)
      end
      expect(
        ["q=%ff", "q=%zz", "q[]=x", "q=%00"].map do |query|
          app.call(raw("PATH_INFO" => "/api/foods", "QUERY_STRING" => query)).first
        end
      ).to eq([422] * 4)
    end

    it "takes a broken cookie for none" do
      expect(get("/api/session", {}, { "HTTP_COOKIE" => "_remember=a_b" }).status).to eq(200)
      expect(
        get("/api/session", {}, { "HTTP_COOKIE" => "_remember=99999999999999999999999_x; nut_shelf=zzz" }).status
      ).to eq(200)
    end

    it "lets no cache keep what is the household's" do
      sign_in(ines)
      %w[/api/backup.json /api/export.csv /api/session].each do |path|
        get(path)
        expect([path, last_response.headers["cache-control"]]).to eq([path, "no-store"])
      end
      get("/api/people")
      expect(last_response.headers["cache-control"]).to eq("private, no-cache")
    end

    it "asks for TLS from then on, and in every cookie, where there is some" do
      safe = Rack::Test::Session.new(built(secure: true))
      sign_in(ines)
      token = JSON.parse(safe.get("https://example.org/api/session").body)["csrf"]
      answer =
        safe.post(
          "https://example.org/api/login",
          JSON.generate(login: email(ines), password: "a long password", remember: true),
          { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token }
        )
      expect(answer.headers["strict-transport-security"]).to include("max-age")
      cookies = Array(answer.headers["set-cookie"]).flat_map { |text| text.split("\n") }
      expect(cookies.map(&:downcase)).to all(include("secure", "samesite=lax", "httponly")).and(
        satisfy { |list| list.size >= 2 }
      )
    end

    it "counts tries by the connection, whatever a header claims" do
      slow = Rack::Test::Session.new(built(throttle: true))
      token = JSON.parse(slow.get("/api/session").body)["csrf"]
      # More than the limits of two minutes, should one begin meanwhile.
      codes =
        Array.new(45) do |n|
          slow.post(
            "/api/login",
            "{}",
            {
              "CONTENT_TYPE" => "application/json",
              "HTTP_X_CSRF_TOKEN" => token,
              "HTTP_X_FORWARDED_FOR" => "10.0.0.#{n}"
            }
          ).status
        end
      expect(codes).to include(429)
      limits = NutShelf::Api::Throttle::LIMITS.keys
      expect(limits).to include("/api/change-password", "/api/close-account", "/api/join")
    end
  end

  describe "of who is signed in" do
    def copy_of_cookies = rack_mock_session.cookie_jar.for(URI("http://example.org/"))

    def other_device(cookies)
      Rack::Test::Session.new(app).tap { |device| device.set_cookie(cookies) }
    end

    def signed_in?(device) = JSON.parse(device.get("/api/session").body)["signed_in"]

    it "ends a session with log-out: a copied cookie opens nothing" do
      sign_in(ines)
      thief = other_device(copy_of_cookies)
      expect(signed_in?(thief)).to be(true)
      tell("/api/logout")
      expect(signed_in?(other_device(copy_of_cookies))).to be(false)
      expect(signed_in?(thief)).to be(false)
    end

    it "ends every other session with a change of password, and remembered devices with it" do
      sign_in(ines)
      phone = Rack::Test::Session.new(app)
      token = JSON.parse(phone.get("/api/session").body)["csrf"]
      phone.post(
        "/api/login",
        JSON.generate(login: email(ines), password: "a long password", remember: true),
        { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token }
      )
      expect(signed_in?(phone)).to be(true)
      tell("/api/change-password", { password: "a long password", "new-password": "another long one" })
      expect([status, signed_in?(phone), ask("/api/session")["signed_in"]]).to eq([200, false, true])
    end

    it "ends it with a closed account, also when somebody else closes it" do
      sign_in(ines)
      services.database.outside { |db| db[:accounts].where(id: ines.account_id).update(status_id: 3) }
      expect(ask("/api/session")["signed_in"]).to be(false)
      get("/api/stacks")
      expect(status).to eq(401)
    end

    it "leaves who was let go no way in: no session, no feed, no invitation" do
      tomas = person(ines.household_id, "keeper")
      sign_in(tomas)
      feed = tell("/api/feeds")["path"]
      link = tell("/api/members/invite", { name: "Guest", role: "keeper" })["path"].split("#").last
      inside(ines) { |house| house.access.leave(tomas.account_id) }
      get("/api/stacks")
      expect(status).to eq(401)
      get(feed)
      expect(status).to eq(404)
      expect(tell("/api/join/look", { token: link })).to include("code" => "not_found")
    end

    it "tells an unknown name and a wrong password apart by nothing" do
      sign_in(ines)
      tell("/api/logout")
      @csrf = nil
      answers =
        [
          { login: email(ines), password: "wrong wrong" },
          { login: "nobody@example.test", password: "wrong wrong" }
        ].map { |body| [tell("/api/login", body), status] }
      expect(answers.uniq.size).to eq(1)
      expect(answers.first.last).to eq(401)
    end

    it "locks a guessed account for minutes, and whoever runs the house can open it" do
      sign_in(ines)
      tell("/api/logout")
      @csrf = nil
      9.times { tell("/api/login", { login: email(ines), password: "guess guess" }) }
      tell("/api/login", { login: email(ines), password: "a long password" })
      expect(status).to eq(429)
      deadline = services.database.outside { |db| db[:account_lockouts].where(id: ines.account_id).get(:deadline) }
      expect(deadline - Time.now).to be < 660
      services.database.outside { |db| NutShelf::Store::Accounts.unlock(db, email(ines)) }
      tell("/api/login", { login: email(ines), password: "a long password" })
      expect(status).to eq(200)
    end

    it "takes no password that everybody tries first" do
      faults =
        ["short", "aaaaaaaaaaaa", "password12", "qwertyuiop1", "correct horse battery"].map do |text|
          NutShelf::Api::Passwords.fault(text)
        end
      expect(faults.map(&:nil?)).to eq([false, false, false, false, true])
      sign_in(ines)
      tell("/api/change-password", { password: "a long password", "new-password": "password1234" })
      expect(status).to eq(422)
    end

    it "hashes at most two at once" do
      most = 0
      now = 0
      lock = Mutex.new
      Array
        .new(6) do
          Thread.new do
            NutShelf::Api::Passwords.in_turn do
              lock.synchronize { most = [most, now += 1].max }
              Thread.pass
              lock.synchronize { now -= 1 }
            end
          end
        end
        .each(&:join)
      expect(most).to be_between(1, 2)
    end
  end

  describe "of households" do
    it "lets an account belong to several, and choose" do
      other = household!
      sign_in(other)
      link = tell("/api/members/invite", { name: "Guest", role: "helper" })["path"].split("#").last
      clear_cookies
      @csrf = nil
      sign_in(ines)
      before = ask("/api/people")
      expect(tell("/api/join", { token: link })).to eq("joined" => true)
      session = ask("/api/session")
      expect(session).to include(
        "household" => include("id" => other.household_id),
        "person" => include("role" => "helper")
      )
      expect(session["households"].map { |row| row["id"] }).to contain_exactly(ines.household_id, other.household_id)
      expect(tell("/api/session/household", { household_id: ines.household_id })).to include(
        "person" => include("role" => "keeper")
      )
      expect(ask("/api/people")).to eq(before)
      expect(tell("/api/session/household", { household_id: household!.household_id })).to include(
        "code" => "not_found"
      )
      expect(tell("/api/join", { token: link })).to include("code" => "not_found")
    end

    it "shows People anew to another account, and after somebody joined" do
      sign_in(ines)
      ask("/api/people")
      tag = last_response.headers["etag"]
      token = tell("/api/members/invite", { name: "Juna", role: "helper" })["path"].split("#").last
      stranger = Rack::Test::Session.new(app)
      key = JSON.parse(stranger.get("/api/session").body)["csrf"]
      stranger.post(
        "/api/join",
        JSON.generate(
          token: token,
          name: "Juna",
          email: "juna#{rand(10**9)}@example.test",
          password: "a long password"
        ),
        { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => key }
      )
      get("/api/people", {}, { "HTTP_IF_NONE_MATCH" => tag })
      expect(status).to eq(200)
      fresh = last_response.headers["etag"]
      sign_in(person(ines.household_id, "keeper"))
      get("/api/people", {}, { "HTTP_IF_NONE_MATCH" => fresh })
      expect(status).to eq(200)
    end
  end

  describe "of secrets" do
    it "tells a link once: the same request sent again has none, and neither has the store" do
      sign_in(ines)
      key = key!
      first = tell("/api/members/invite", { name: "Guest", role: "helper" }, key: key)
      expect(first["path"]).to start_with("/join#")
      expect(tell("/api/members/invite", { name: "Guest", role: "helper" }, key: key)).to eq(first.merge("path" => nil))
      feed = tell("/api/feeds")["path"]
      kept = inside(ines) { |house| house.db[:stored_requests].select_map(:answer).join }
      expect(kept).not_to include(first["path"].split("#").last)
      expect(kept).not_to include(feed.split("/").last.delete_suffix(".ics"))
    end

    it "lets old answers go" do
      sign_in(ines)
      tell("/api/people", { name: "Piet", portion_factor: "1" })
      expect(inside(ines) { |house| house.requests.prune(days: 0) }).to be >= 1
      expect(inside(ines) { |house| house.db[:stored_requests].where(household_id: ines.household_id).count }).to eq(0)
    end

    it "notes no row a constraint refused and no hash of a password" do
      error =
        RuntimeError.new(
          "PG::CheckViolation: ERROR: refused $argon2id$v=19$m=65536$abc\nDETAIL: Failing row contains (1, secret)"
        )
      expect(NutShelf::Api::Problem.note(error)).to include("[hash]").and(
        satisfy { |text| !text.match?(/secret|v=19/) }
      )
    end
  end

  it "matches patterns against the whole text, not a line of it" do
    sign_in(ines)
    id = put_away(ines, "honey", "cupboard")["lot_id"]
    expect(tell("/api/stacks/#{id}/correct", { amount: "x\n1" })).to include("code" => "invalid")
    expect(tell("/api/stacks/#{id}/correct", { amount: "1.5" })).to include("lot_id" => id)
  end

  it "takes no NUL byte, in a body or hidden behind an escape" do
    sign_in(ines)
    id = put_away(ines, "honey", "cupboard")["lot_id"]
    ["{\"amount\":\"1\\u0000\"}", "{\"amount\":\"1\"}\0"].each do |body|
      expect(tell("/api/stacks/#{id}/correct", body)).to include("code" => "bad_json", "title" => /NUL/)
    end
  end

  it "answers anew on another day, though nothing changed" do
    sign_in(ines)
    ask("/api/today")
    tag = last_response.headers["etag"]
    expect(get("/api/today", {}, { "HTTP_IF_NONE_MATCH" => tag }).status).to eq(304)
    clock.day = HouseSupport::TODAY + 1
    expect(get("/api/today", {}, { "HTTP_IF_NONE_MATCH" => tag }).status).to eq(200)
  end

  it "says that a busy, full or stopped database is just that" do
    {
      PG::LockNotAvailable => [503, "busy"],
      PG::QueryCanceled => [503, "busy"],
      PG::DiskFull => [503, "storage_full"],
      PG::AdminShutdown => [503, "database_away"],
      PG::UnableToSend => [503, "database_away"]
    }.each do |state, expected|
      wrapped = state == PG::LockNotAvailable ? Sequel::DatabaseLockTimeout.new("x") : Sequel::DatabaseError.new("x")
      wrapped = Sequel::DatabaseDisconnectError.new("x") if state == PG::UnableToSend
      wrapped.wrapped_exception = state.new("x")
      code, document = NutShelf::Api::Problem.from(wrapped)
      expect([state, code, document[:code]]).to eq([state, *expected])
    end
  end

  describe "of what is brought in" do
    before { sign_in(ines) }

    def preview(text)
      tell("/api/import/preview", { content: Base64.strict_encode64(text), place_id: place_id(ines, "cupboard") })
    end

    it "refuses thousands of headings, endless lines and millions of cells at once" do
      expect(preview("#{Array.new(4000) { |n| "h#{n}" }.join(",")}\n1")["title"]).to match(/4000 cells; 60 columns/)
      expect(preview("food,amount\n#{"x" * 300_000},1")["title"]).to match(/Line 2 is longer/)
      expect(preview("food,amount\n#{"x" * 3000},1")["title"]).to match(/longer than 2000 letters/)
      expect(preview("food,amount\n#{"," * 150_000}")["title"]).to match(/cells/)
    end

    it "reads a thousand unknown names, and long ones, without trying each for seconds" do
      found =
        preview(
          "food,amount\n#{Array.new(300) { |n| "zzq#{n} xyl#{n},1 kg" }.join("\n")}\n#{Array.new(41) do |n|
            "word#{n}"
          end.join(" ")},1 kg\n"
        )
      expect(found["unknown_foods"].size).to eq(301)
      expect(found["unknown_foods"].count { |row| row["likely"].any? }).to be <= 40
    end

    it "makes no more portions than hands could" do
      id = put_away(ines, "white-rice", "cupboard", amount: "1000000")["lot_id"]
      expect(tell("/api/stacks/#{id}/portion", { size: "1" })).to include(
        "code" => "invalid",
        "title" => /more than 1000/
      )
    end

    it "reads label lines in a house with a place called 1, or by a sign alone" do
      ["1", "\u{1F36F}"].each { |name| act(:AddPlace, ines, { name: name, kind: "cupboard" }) }
      tell("/api/label-line", { text: "honey 340 g bb 5/2028 fridge" })
      expect(status).to eq(200)
    end

    it "takes no draft into a count that could never be finished" do
      count = act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"]
      draft = { food_id: food_id(ines, "honey"), place_id: place_id(ines, "cupboard"), count: "1" }
      [
        { food_id: 99_999_999 },
        { printed_on: "0000-01-01", printed_kind: "use_by" },
        { count: "0.0000001" }
      ].each do |bad|
        answer = tell("/api/counts/#{count}/lines", { draft: draft.merge(bad) })
        expect(answer["code"]).to be_in_words(%w[invalid not_found])
      end
      tell("/api/counts/#{count}/finish", {})
      expect(status).to eq(200)
    end
  end

  matcher(:be_in_words) { |codes| match { |code| codes.include?(code) } }
end
