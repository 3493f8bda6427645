# frozen_string_literal: true

require_relative "harness"
require "base64"
require "rspec"
require_relative "../spec/support/browser"

# One take on a shelf of 2,000 stacks over a slow line: how long until its chip has changed, how many requests and bytes
# that took, how many chips were drawn anew, and how many names are cut. Goals: the chip changes with the answer, and
# no other is drawn; under 2 % of chips cut.
class SlowShelf
  include HouseSupport
  include BrowserSupport
  include Capybara::DSL
  include RSpec::Matchers

  STACKS = 2000
  CUT = <<~JS.gsub(/\s+/, " ").strip
    (() => {
      const c = [...document.querySelectorAll('.chip')];
      const over = (e) => e && (e.scrollHeight > e.clientHeight + 1 || e.scrollWidth > e.clientWidth + 1);
      return c.filter((x) => over(x.querySelector('.chip-name')) || over(x.querySelector('.chip-amount'))).length
        / c.length
    })()
  JS
  WATCH = <<~JS.gsub(/\s+/, " ").strip
    window.drawn = new Set();
    const chipOf = (node) => (node.nodeType === 1 ? node : node.parentElement)?.closest('.chip');
    new MutationObserver((list) => list.forEach((m) => {
      const c = chipOf(m.target); if (c) window.drawn.add(c.dataset.chip)
    })).observe(document.querySelector('main'), {
      subtree: true, childList: true, characterData: true, attributes: true, attributeFilter: ['data-state', 'title']
    })
  JS
  # A phone at the edge of a village: 400 kbit/s, 400 ms there and back.
  LINE = { offline: false, latency: 400, downloadThroughput: 50_000, uploadThroughput: 50_000 }.freeze

  def initialize
    @who = household!
    Capybara.app = BrowserSupport.gate
    Capybara.default_driver = :chromium
    fill
    enter(@who)
    visit "/shelf"
    raise "The shelf was not drawn." unless page.has_css?(".chip")
  end

  def measure
    slow
    watch
    chip = find_all(".chip[data-state=resting]", minimum: 1).first
    before = chip.text
    page.execute_script("arguments[0].focus()", chip)
    took =
      Harness.time do
        keys("t")
        Timeout.timeout(60) do
          until page.evaluate_script("document.querySelector('[data-chip=\"#{chip["data-chip"]}\"]').innerText") !=
              before
            sleep 0.02
          end
        end
      end
    {
      stacks: STACKS,
      chip_changed_after_ms: took.round,
      **traffic,
      chips_drawn_anew: page.evaluate_script("window.drawn.size")
    }
  end

  # The names of both spreads: what stands on the shelf at 1280 and at 1440.
  def cut
    [1280, 1440].to_h do |width|
      size([width, 900])
      [:"cut_percent_at_#{width}", (page.evaluate_script(CUT) * 100).round(2)]
    end
  end

  private

  def fill
    foods =
      inside(@who) do |house|
        house
          .foods
          .all
          .reject { |row| row.dimension == "count" || row.aisle == "Home leftovers" }
          .map(&:name)
      end
    rows =
      Array.new(STACKS) do |index|
        [
          foods[index % foods.size],
          (index % 6) + 2,
          "400 g",
          %w[cupboard fridge freezer][index % 3],
          (HouseSupport::TODAY + 20 + (index * 3 % 900)).iso8601
        ]
      end
    text =
      "food,count,amount,place,best before\n#{rows.map do |row|
        row.map do |cell|
          "\"#{cell}\""
        end.join(",")
      end.join("\n")}\n"
    act(:ImportStock, @who, { content: Base64.strict_encode64(text) })
  end

  def slow
    command("Network.emulateNetworkConditions", LINE)
  end

  def command(name, facts) = page.driver.browser.page.command(name, **facts)

  # Which chips change, and what goes over the line from now on.
  def watch
    page.driver.browser.network.clear(:traffic)
    page.execute_script(WATCH)
  end

  def traffic
    sleep 8
    exchanges = page.driver.browser.network.traffic.select(&:response)
    { requests: exchanges.size, kilobytes: (exchanges.sum { |one| one.response.body_size.to_i } / 1000.0).round(1) }
  end
end

shelf = SlowShelf.new
cut = shelf.cut
Harness.report("chip", **shelf.measure, **cut)
Capybara.current_session.quit
