# frozen_string_literal: true

require_relative "harness"
require "rspec"
require_relative "../spec/support/browser"

# Counts the touches and keys that putting things away takes, by doing it in a browser. Goals: a usual food in at most
# 6 touches; 20 foods by label line within the characters on the labels and 20 Enters.
class Hands
  include HouseSupport
  include BrowserSupport
  include Capybara::DSL
  include RSpec::Matchers

  LINES = [
    "3 tins chickpeas 400 g bb 5/2028 cupboard", "5 kg rice 11.40", "1 l uht milk bb 3/27", "2 jars honey 340 g",
    "500 g spaghetti bb 08/28", "6 tins tomatoes 400 g bb 2/2029", "1 kg flour bb 30/6/27",
    "250 g coffee bb 4/27 6.90", "2 x 500 g oats bb 1/28", "1 jar peanut butter 350 g bb 9/27",
    "3 tins tuna 145 g bb 12/2029", "500 g red lentils bb 10/27", "1 kg sugar", "2 l apple juice bb 7/27",
    "750 ml olive oil bb 11/27 8.50", "400 g raisins bb 9/27", "2 packs crackers 200 g bb 6/27", "100 g salt",
    "3 tins sweetcorn 200 g bb 3/29", "1 jar pesto 190 g bb 5/27"
  ].freeze

  attr_reader :touches, :keys_typed

  def initialize
    @who = household!
    put_away(@who, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before")
    @touches = 0
    @keys_typed = 0
    Capybara.app = BrowserSupport.gate
    Capybara.default_driver = :chromium
    enter(@who)
  end

  def on_shelf = inside(@who) { |house| house.lots.all.size }

  def touch(name)
    @touches += 1
    click_button name, match: :first
  end

  # @return [Integer] touches for three tins of a usual food with a date in another year
  def usual_food
    size(BrowserSupport::PHONE)
    visit "/"
    touch "With one hand"
    touch "Chickpeas, canned"
    touch "6 of them"
    touch "2029"
    touch "May"
    touch "Put away 6 x 400 g Chickpeas, canned"
    raise "It was not put away." unless page.has_content?("Put away: 6 x 400 g Chickpeas, canned")

    touches
  end

  # @return [Integer] lines that were put away by one Enter each
  def lines
    size(BrowserSupport::WIDE)
    visit "/"
    before = on_shelf
    LINES.each { |line| write(line) }
    on_shelf - before
  end

  private

  def write(line)
    box = find("[data-label-line]")
    [line, :enter].each { |what| box.send_keys(what) }
    @keys_typed += line.size + 1
    page.has_css?("[data-label-line][value='']") || page.has_field?("Label line: what do you put away?", with: "")
    Timeout.timeout(10) do
      until page.evaluate_script(
              "localStorage.length ? Object.keys(localStorage).filter((name) => " \
              "name.startsWith('nut-shelf.letter')).length : 0"
            ).zero?
        sleep 0.05
      end
    end
  end
end

hands = Hands.new
touches = hands.usual_food
put = hands.lines
Harness.report(
  "touches",
  usual_food_touches: touches,
  usual_food_goal: 6,
  lines: Hands::LINES.size,
  put_away_at_once: put,
  keys: hands.keys_typed,
  keys_goal: Hands::LINES.sum(&:size) + 20
)
Capybara.current_session.quit
exit(touches <= 6 && put == Hands::LINES.size ? 0 : 1)
