# frozen_string_literal: true

require_relative "../support/api"

# Signing in, to the last try, the last letter and the last day.
RSpec.describe "Signing in", :api do
  let(:ines) { household! }
  let(:email) { outside { |db| db[:accounts].where(id: ines.account_id).get(:email) } }

  def outside(&) = services.database.outside(&)

  def log_in(password, name: email, **more)
    tell("/api/login", { login: name, password: password, **more })
    @csrf = nil
    status
  end

  # As a browser that has never been here.
  def anew
    clear_cookies
    @csrf = nil
  end

  before do
    sign_in(ines)
    anew
  end

  def sent_cookies = Array(last_response.headers["set-cookie"]).flat_map { |text| text.split("\n") }.map(&:downcase)

  it "hides its cookies from scripts, and asks for TLS only where there is some" do
    log_in("a long password", remember: true)
    expect(sent_cookies.size).to be >= 2
    expect(sent_cookies).to all(include("httponly", "samesite=lax"))
    expect(sent_cookies.join).not_to include("secure")
  end

  it "is tried seven times for nothing; the eighth locks for ten minutes, and says so" do
    expect(Array.new(7) { log_in("guess guess") }).to eq([401] * 7)
    expect(log_in("a long password")).to eq(200)
    anew
    8.times { log_in("guess guess") }
    answers = ["a long password", "guess guess"].map { |password| log_in(password) }
    expect(answers).to eq([429, 429])
    waits = outside { |db| db[:account_lockouts].where(id: ines.account_id).get(:deadline) } - Time.now
    expect(waits).to be_between(590, 601)
    outside { |db| db[:account_lockouts].where(id: ines.account_id).update(deadline: Time.now - 1) }
    expect(log_in("a long password")).to eq(200)
  end

  it "weighs a name that nobody has as long as one that somebody has, and lets neither in by that" do
    weighed = []
    allow(NutShelf::Api::Passwords).to(
      receive(:match?).and_wrap_original do |original, hash, password|
        original.call(hash, password).tap { weighed << hash }
      end
    )
    expect(log_in("nobody has this password", name: "nobody@example.test")).to eq(401)
    expect(weighed).to eq([NutShelf::Api::Passwords::NOBODY])
    expect(log_in("a long password")).to eq(200)
    expect(weighed.size).to eq(2)
  end

  it "lasts sixty days and not an hour more" do
    log_in("a long password")
    [[1439, true], [1441, false]].each do |hours, signed_in|
      outside do |db|
        db[:account_active_session_keys].where(account_id: ines.account_id).update(
          created_at: Time.now - (hours * 3600)
        )
      end
      expect([hours, ask("/api/session")["signed_in"]]).to eq([hours, signed_in])
    end
  end

  it "is for open accounts: one that was never opened, or was closed, is unknown" do
    [1, 3].each do |state|
      outside { |db| db[:accounts].where(id: ines.account_id).update(status_id: state) }
      expect([state, log_in("a long password")]).to eq([state, 401])
    end
    outside { |db| db[:accounts].where(id: ines.account_id).update(status_id: 2) }
    expect(log_in("a long password")).to eq(200)
  end

  it "marks a closed account as closed, and keeps it for the history" do
    log_in("a long password")
    other = outside { |db| db[:accounts].insert(email: "o#{rand(10**9)}@example.test", name: "Other") }
    outside { |db| db[:memberships].insert(account_id: other, household_id: ines.household_id, role: "keeper") }
    tell("/api/close-account", { password: "a long password" })
    expect(outside { |db| db[:accounts].where(id: ines.account_id).get(:status_id) }).to eq(3)
  end

  it "needs the old password for a new one, which is 10 signs at least and 500 bytes at most" do
    log_in("a long password")
    change = ->(old, fresh) { tell("/api/change-password", { password: old, "new-password": fresh }) && status }
    expect(change.call("not the old one", "another long one")).to eq(401)
    expect(change.call("a long password", "nine sign")).to eq(422)
    expect(change.call("a long password", "#{"äöüßé" * 50}a")).to eq(422)
    expect(change.call("a long password", "äöüßé" * 50)).to eq(200)
    expect(change.call("äöüßé" * 50, "aaaaaaaaaaaa")).to eq(422)
    expect(JSON.parse(last_response.body)).to eq("error" => "That password will not do. It repeats too few letters.")
    expect(change.call("äöüßé" * 50, "äöüßé" * 50)).to eq(422)
    expect(JSON.parse(last_response.body)["error"]).to eq("That password will not do. It is the one you have now.")
  end

  it "remembers a device by a flag or a word, and forgets it with log-out" do
    [[true, true], ["true", true], [false, false], ["no", false]].each do |remember, remembered|
      anew
      log_in("a long password", remember: remember)
      next expect(status).to be >= 400 unless status == 200

      expect(
        [remember, sent_cookies.any? { |cookie| cookie.start_with?("_remember=") && !cookie.include?("max-age=0") }]
      ).to eq([remember, remembered])
    end
    anew
    log_in("a long password", remember: true)
    kept = rack_mock_session.cookie_jar["_remember"]
    tell("/api/logout")
    anew
    set_cookie("_remember=#{kept}")
    expect(ask("/api/session")["signed_in"]).to be(false)
  end

  it "takes a remembered device's cookie once the session is gone, and no other text for it" do
    log_in("a long password", remember: true)
    kept = rack_mock_session.cookie_jar["_remember"]
    signed_in =
      [kept, "#{kept}x", "x#{kept}", kept.tr("0-9", "9"), ""].map do |text|
        anew
        get("/api/session", {}, { "HTTP_COOKIE" => "_remember=#{text}" })
        [status, JSON.parse(last_response.body)["signed_in"]]
      end
    expect(signed_in).to eq([[200, true], *[[200, false]] * 4])
  end

  it "logs out whoever is in, and nobody without harm" do
    tell("/api/logout")
    expect(status).to eq(200)
  end
end
