# frozen_string_literal: true

require "ferrum"
require "fileutils"
require "puma"
require "tmpdir"
require "puma/configuration"
require "puma/server"
require_relative "../demo/loader"
require_relative "../boot/app"

# Name of the picture, where, the size, and what to do before it is taken.
WIDE = [1280, 800].freeze
PHONE = [390, 844].freeze
# A list as another program would write it, with two words nobody here knows.
LIST = File.join(Dir.tmpdir, "nut-shelf-bring-in.csv").freeze
File.write(
  LIST,
  "Lebensmittel;Anzahl;Inhalt;Lagerort;Mindestens haltbar bis;Preis\nKichererbsen;6;400 " \
  "g;Keller;31.05.2028;5,34\nHaferflocken;2;500 g;Vorrat;30.09.2027;2,98\n" \
  "Eier;10;;Kühlschrank;12.12.2026;3,20\nHagebuttenmus;3;340 g;Speicher;;7,50\n".encode("Windows-1252")
)
MEAL =
  lambda do |browser|
    browser.at_css("a[href^='/meals/']").click
    appear(browser, "main ol")
  end
GO_ON =
  lambda do |browser|
    press(browser, "Go on")
    appear(browser, "[aria-label='The stack in hand']")
  end
BENCH =
  lambda do |browser|
    browser.execute(<<~JS)
      const box = document.querySelector("select[name=food]");
      const yoghurt = [...box.options].find((one) => one.text.startsWith("Strained yoghurt"));
      Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(box, yoghurt.value);
      box.dispatchEvent(new Event("change", { bubbles: true }));
    JS
    appear(browser, "[name=take]").each(&:click)
    appear(browser, "[role=status] ul li")
  end
SHOTS = [
  ["today", "/", WIDE],
  ["shelf", "/shelf", WIDE],
  ["meals", "/meals", WIDE],
  ["cook", "/meals", WIDE, MEAL],
  ["audit", "/meals/audit", WIDE],
  [
    "dish",
    "/recipes?find=two-bean",
    WIDE,
    lambda do |browser|
      browser.at_css("ul a[href^='/recipes/']").click
      appear(browser, "figure")
    end
  ],
  ["occasion", "/occasions/1", WIDE],
  ["shop", "/shop", WIDE],
  ["bring-in", "/bring-in", WIDE, ->(browser) { browser.at_css("input[type=file]").select_file(LIST) }],
  [
    "stack",
    "/shelf",
    WIDE,
    lambda do |browser|
      press(browser, "White bread")
      appear(browser, "[role=dialog] h2")
    end
  ],
  ["count", "/count", WIDE, GO_ON],
  ["keeping", "/keeping", WIDE, ->(browser) { press(browser, "Carrots") }],
  [
    "place",
    "/places",
    WIDE,
    lambda do |browser|
      press(browser, "Bicycle shed")
      appear(browser, "[role=dialog] h3")
    end
  ],
  [
    "kit",
    "/kits",
    WIDE,
    lambda do |browser|
      press(browser, "Ferry box")
      appear(browser, "th")
      appear(browser, "section.border-t-mustard li")
    end
  ],
  ["portion", "/portion", WIDE, BENCH],
  [
    "trip",
    "/trips",
    WIDE,
    lambda do |browser|
      press(browser, "West road by bicycle")
      appear(browser, "h3")
    end
  ],
  ["look-back", "/look-back", WIDE, ->(browser) { appear(browser, ".recharts-surface") }],
  ["today-phone", "/", PHONE],
  ["shelf-dark", "/shelf", WIDE, ->(browser) { browser.execute("document.documentElement.dataset.theme = 'dark'") }]
].freeze
OPTIONS =
  %w[
    no-sandbox disable-gpu disable-quic no-first-run disable-background-networking disable-component-update
    disable-sync hide-scrollbars
  ].to_h { |name| [name, nil] }.freeze

folder = ENV.fetch("SHOTS", File.expand_path("../docs/screenshots", __dir__))
FileUtils.mkdir_p(folder)
owner = NutShelf::Boot::Wiring.scratch_url("nut_shelf_pictures")
NutShelf::Store::Owner.drop(owner)
url = NutShelf::Boot::Wiring.migrated(owner)
services = NutShelf::Boot::Wiring.services(url)
NutShelf::Demo::Loader.new(services).load
app = NutShelf::Boot::Web.build(url, demo_account: NutShelf::Demo::Household::KEEPER, throttle: false)
server = Puma::Server.new(app, nil, log_writer: Puma::LogWriter.null, max_threads: 4)
port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
server.run
browser =
  Ferrum::Browser.new(
    browser_path: ENV.fetch("CHROMIUM", "/usr/bin/chromium"),
    process_timeout: 60,
    timeout: 20,
    browser_options: OPTIONS,
    window_size: WIDE
  )

def settle(browser)
  40.times do
    browser.evaluate("document.querySelector('[role=status]')?.textContent?.includes('…')") ?
      IO.select(nil, nil, nil, 0.1) :
      break
  end
  browser.network.wait_for_idle(duration: 0.4, timeout: 10)
  browser.execute("document.activeElement?.blur?.(); document.getAnimations().forEach((motion) => motion.finish())")
end

# What a selector finds, once there is something: a picture without what it shows is none.
def appear(browser, selector)
  50.times { browser.at_css(selector) ? break : IO.select(nil, nil, nil, 0.1) }
  browser.css(selector).tap { |found| raise "There is no #{selector} to take a picture of." if found.empty? }
end

# Presses what begins with these words, once it is there.
def press(browser, words)
  50.times do
    browser.css("main a, main button").any? { |element| element.text.strip.start_with?(words) } ?
      break :
      IO.select(nil, nil, nil, 0.1)
  end
  browser.css("main a, main button").find { |element| element.text.strip.start_with?(words) }.click
end

def take(browser, base, folder, shot)
  name, path, (width, height), before = shot
  browser.page.command(
    "Emulation.setDeviceMetricsOverride",
    width: width,
    height: height,
    deviceScaleFactor: 1,
    mobile: width < 900
  )
  browser.execute("sessionStorage.clear()")
  browser.go_to("#{base}#{path}")
  appear(browser, "h1")
  settle(browser)
  before&.call(browser)
  settle(browser)
  browser.screenshot(path: File.join(folder, "#{name}.png"))
  puts name
end

begin
  base = "http://127.0.0.1:#{port}"
  browser.go_to(base)
  appear(browser, "button").find { |button| button.text.include?("demo") }.click
  50.times { browser.at_css("h1")&.text.to_s.include?("Sign in") ? IO.select(nil, nil, nil, 0.1) : break }
  SHOTS.select { |name, *| ARGV.empty? || ARGV.include?(name) }.each { |shot| take(browser, base, folder, shot) }
ensure
  browser.quit
  server.stop(true)
  services.database.disconnect
end
