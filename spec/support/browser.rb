# frozen_string_literal: true

require "capybara/cuprite"
require "capybara/rspec"
require "rack/test"
require_relative "house"
require_relative "steady_press"
require_relative "../../boot/app"

# The real interface in headless Chromium, on the spec's database.
module BrowserSupport
  AXE = File.read(File.expand_path("../../ui/node_modules/axe-core/axe.min.js", __dir__))
  OPTIONS = {
    "no-sandbox" => nil, "disable-gpu" => nil, "disable-quic" => nil, "no-first-run" => nil,
    "disable-background-networking" => nil, "disable-component-update" => nil, "disable-sync" => nil,
    "disable-dev-shm-usage" => nil, "force-prefers-reduced-motion" => nil
  }.freeze
  # Counts in every page what is asked, and the acts that are sent, and not answered yet; and what the page is about to
  # do in a moment, such as to ask what a half-filled form would come to.
  UNDER_WAY = <<~JS
    (() => {
      const fetching = window.fetch;
      window.actsUnderWay = window.askedUnderWay = 0;
      window.fetch = async (where, init) => {
        const act = new Headers(init?.headers).has("idempotency-key");
        window.actsUnderWay += act ? 1 : 0;
        window.askedUnderWay += 1;
        try { return await fetching(where, init); } finally {
          window.actsUnderWay -= act ? 1 : 0;
          window.askedUnderWay -= 1;
        }
      };
      const [later, never] = [window.setTimeout, window.clearTimeout];
      window.soon = new Set();
      window.setTimeout = (act, delay = 0, ...rest) => {
        const timer = later((...given) => { window.soon.delete(timer); act(...given); }, delay, ...rest);
        if (delay <= 600) window.soon.add(timer);
        return timer;
      };
      window.clearTimeout = (timer) => { window.soon.delete(timer); never(timer); };
    })();
  JS
  WIDE = [1280, 800].freeze
  PHONE = [390, 844].freeze

  # Answers 503 while told to, as a server does whose database is gone, and lets a path wait while a block runs. Dark:
  # nothing comes through, not even a page.
  class Gate
    attr_accessor :shut, :dark

    def initialize(app)
      @app = app
      @waiting = {}
    end

    # @param path [String] requests there are answered when the block is done
    def slow(path)
      @waiting[path] = Queue.new
      SteadyPress.held_back = true
      yield
    ensure
      SteadyPress.held_back = false
      @waiting.delete(path).close
    end

    def call(env)
      # A closed queue answers at once.
      @waiting[env["PATH_INFO"]]&.pop
      return [504, { "content-type" => "text/plain" }, ["no signal\n"]] if dark

      if shut && env["PATH_INFO"].start_with?("/api/")
        return NutShelf::Api::Problem.answer(*NutShelf::Api::Problem.from(NutShelf::Store::Away.new("gone")))
      end

      @app.call(env)
    end
  end

  class << self
    def gate
      @gate ||=
        Gate.new(
          NutShelf::Api::App.build(
            services: HouseSupport.services,
            secret: "s" * 96,
            build: "browser",
            interface: NutShelf::Boot::Web::INTERFACE,
            throttle: false
          )
        )
    end
  end

  PASSWORD = "a long password"

  def gate = BrowserSupport.gate

  # What a press did is looked up once it is done: on a slow machine the page draws before the house has answered.
  def inside(who) = answered && super
  def at_work(who) = answered && super

  # What comes in later moves things about: a press would land beside what was looked for.
  def quiet
    expect(page).to have_css("main h1")
    Timeout.timeout(30) { Thread.pass until page.evaluate_script("window.askedUnderWay || 0").zero? }
    page.evaluate_async_script("requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]()))")
  end

  def answered
    Timeout.timeout(30) { Thread.pass until page.evaluate_script("window.actsUnderWay || 0").zero? }
    true
  end

  # The worker is there once the page is drawn and quiet; what was looked at before is asked for through it once more.
  def with_worker
    page.evaluate_async_script(<<~JS)
      navigator.serviceWorker.ready.then(() => {
        const there = () => navigator.serviceWorker.controller ? arguments[0](true) : setTimeout(there, 50);
        there();
      });
    JS
    %w[/shelf /shop].each do |path|
      visit path
      expect(page).to have_css("h1")
      yield path if block_given?
    end
  end

  # What the worker has kept to be told again without network.
  # @return [Array<String>] paths
  def kept_answers
    page.evaluate_async_script(<<~JS)
      caches.open("nut-shelf-answers").then((kept) => kept.keys())
        .then((all) => arguments[0](all.map((one) => new URL(one.url).pathname)));
    JS
  end

  # Signed in as at the door, without going through it each time.
  def enter(who)
    house = Rack::Test::Session.new(gate)
    here = page.server_url
    token = JSON.parse(house.get("#{here}/api/session").body)["csrf"]
    login = JSON.generate({ login: email_with_password(who), password: PASSWORD })
    house.post("#{here}/api/login", login, { "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token })
    expect(house.last_response.status).to eq(200)
    session = house.last_response["set-cookie"][/nut_shelf=([^;]+)/, 1]
    page.driver.set_cookie("nut_shelf", session, domain: page.server.host)
    visit "/"
    arrived(who)
  end

  def enter_by_the_door(who)
    email = email_with_password(who)
    visit "/"
    fill_in "E-mail address", with: email
    fill_in "Password", with: PASSWORD
    click_button "Sign in"
    arrived(who)
  end

  # The door has a heading too: whoever goes on before it is shut leaves the sign-in half done.
  def arrived(who)
    expect(page).to have_no_field("Password")
    expect(page).to have_css("main h1")
    who
  end

  def email_with_password(who)
    hash = Argon2::Password.new(t_cost: 1, m_cost: 5).create(PASSWORD)
    services.database.outside do |db|
      db[:accounts].where(id: who.account_id).update(password_hash: hash)
      db[:accounts].where(id: who.account_id).get(:email)
    end
  end

  def size(pair) = page.current_window.resize_to(*pair)

  # Types real key events at whatever has the focus.
  def keys(*list) = page.driver.browser.keyboard.type(*list)

  def line(text)
    fill_in "Label line: what do you put away?", with: text
    find("[data-label-line]").send_keys(:enter)
  end

  # The axe rules, none switched off, and one more: a name holds the words that are seen.
  def expect_accessible(what)
    # The bounce of a sheet coming in would be measured half-way.
    page.execute_script("document.getAnimations().forEach((motion) => motion.finish())")
    page.driver.browser.execute(AXE) if page.evaluate_script("typeof axe") == "undefined"
    found = page.evaluate_async_script(<<~JS)
      axe.run(document, { runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"],
                          rules: { "label-content-name-mismatch": { enabled: true } } })
         .then((r) => arguments[0](r.violations.map((v) => v.id + ": " + v.nodes.map((n) => n.target.join(" ") + " " + n.failureSummary).slice(0, 3).join(" | "))))
    JS
    expect(found).to eq([]), "axe on #{what}:\n#{found.join("\n")}"
  end
end

Capybara.register_driver(:chromium) do |app|
  Capybara::Cuprite::Driver.new(
    app,
    browser_path: ENV.fetch("CHROMIUM", "/usr/bin/chromium"),
    process_timeout: 90,
    # Limits, not waits: a busy machine is slow to open a page.
    timeout: 60,
    window_size: BrowserSupport::WIDE,
    browser_options: BrowserSupport::OPTIONS.dup,
    extensions: [{ source: BrowserSupport::UNDER_WAY }],
    js_errors: true
  )
end
Capybara.configure do |config|
  config.default_driver = :chromium
  config.javascript_driver = :chromium
  config.default_max_wait_time = 30
  config.server = :puma, { Silent: true, Threads: "2:6" }
  config.enable_aria_label = true
end

RSpec.configure do |config|
  config.include BrowserSupport, :browser
  config.include Capybara::DSL, :browser
  # Without them `not_to have_content` does not wait.
  config.include Capybara::RSpecMatchers, :browser
  config.before(:each, :browser) do
    Capybara.app = BrowserSupport.gate
    BrowserSupport.gate.shut = BrowserSupport.gate.dark = false
    size(BrowserSupport::WIDE)
  end
  config.after(:each, :browser) do |example|
    # What the page said explains more than what it lacked.
    if example.exception
      said = page.has_css?("body", wait: 0) ? page.text : "nothing, it never came"
      whole = said.size > 3000 ? "#{said[0, 1500]}\n ...\n#{said[-1500..]}" : said
      example.reporter.message("#{example.full_description}: at #{page.current_url} the page said: #{whole}")
    end
    Capybara.reset_sessions!
  end
end
