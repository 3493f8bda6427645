# frozen_string_literal: true

require_relative "../support/browser"

# Every view on the smallest phone and on a usual one, with names of sixty letters.
RSpec.describe "On a phone", :browser do
  views = %w[
    / /shelf /count /meals /shop /keeping /people /labels /places /jars /recall /bring-in /bring-forward /scanner
    /scale
  ].freeze
  let(:who) { household! }
  let(:long_place) { "The narrow shelf behind the second door of the old sheds end" }
  let(:long_name) { "Grandmother's best rhubarb and ginger marmalade of the summer" }
  let(:tin) do
    place = act(:AddPlace, who, { name: long_place, kind: "cupboard" })["place_id"]
    put_away(
      who, "marmalade", "cupboard", label: long_name, count: "3", printed_on: "2026-11-27",
      printed_kind: "best_before", place_id: place
    )[
      "lot_id"
    ]
  end

  before do
    tin
    enter(who)
  end

  after { size(BrowserSupport::WIDE) }

  # What a thumb has to hit and is lower than 44 px; links within a sentence are as high as the sentence.
  small = <<~JS
    [...document.querySelectorAll("button, input:not([type=hidden]), select, textarea, summary, nav a, [role=button]")].filter((one) => {
      const hit = (one.matches("input[type=checkbox], input[type=radio]") && one.closest("label") || one).getBoundingClientRect();
      return hit.width > 1 && hit.height > 1 && hit.height < 43.5;
    }).map((one) => (one.ariaLabel || one.textContent || one.name).trim().slice(0, 40))
  JS

  [[320, 640], BrowserSupport::PHONE].each do |width, height|
    it "spills over nowhere and asks for no small target, #{width} px wide" do
      size([width, height])
      [*views, "/shelf?stack=#{tin}", "/shelf?stack=#{tin}&do=take", "/?open=lately"].each do |view|
        visit view
        expect(page).to have_css("h1, [role=dialog] h2")
        expect(page).to have_no_css("[aria-busy=true]")
        expect([view, page.evaluate_script("document.documentElement.scrollWidth")]).to eq([view, width])
        expect([view, page.evaluate_script(small)]).to eq([view, []])
      end
    end
  end
end
