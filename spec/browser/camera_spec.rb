# frozen_string_literal: true

require "tempfile"
require_relative "../support/browser"

# A camera whose picture is a film of our own: the bars of a pack, held still.
module FilmOfBars
  LEFT = %w[0001101 0011001 0010011 0111101 0100011 0110001 0101111 0111011 0110111 0001011].freeze
  PARITY = %w[LLLLLL LLGLGG LLGGLG LLGGGL LGLLGG LGGLLG LGGGLL LGLGLG LGLGGL LGGLGL].freeze
  WIDTH = 640
  HEIGHT = 480

  module_function

  # @return [String] 1 for each dark module of an EAN-13
  def bars(code)
    digits = code.chars.map(&:to_i)
    left =
      digits[1..6].each_with_index.map do |digit, index|
        PARITY[digits[0]][index] == "L" ? LEFT[digit] : LEFT[digit].tr("01", "10").reverse
      end
    "101#{left.join}01010#{digits[7..].map { |digit| LEFT[digit].tr("01", "10") }.join}101"
  end

  # @return [String] an uncompressed film (YUV4MPEG2) of ten frames
  def film(code)
    row = ("0" * 40) + bars(code).chars.map { |bit| bit * 4 }.join
    line = row.ljust(WIDTH, "0")[0, WIDTH].chars.map { |bit| bit == "1" ? 20 : 230 }.pack("C*")
    light = ("\xE6".b * WIDTH * 120) + (line * 240) + ("\xE6".b * WIDTH * 120)
    frame = "FRAME\n".b + light + ("\x80".b * (WIDTH * HEIGHT / 2))
    "YUV4MPEG2 W#{WIDTH} H#{HEIGHT} F10:1 Ip A1:1 C420jpeg\n".b + (frame * 10)
  end

  FILE = Tempfile.new(%w[bars .y4m]).tap { |file| file.binmode && file.write(film("4006381333931")) && file.flush }
end

Capybara.register_driver(:camera) do |app|
  watching = {
    "use-fake-ui-for-media-stream" => nil,
    "use-fake-device-for-media-stream" => nil,
    "use-file-for-fake-video-capture" => FilmOfBars::FILE.path
  }
  Capybara::Cuprite::Driver.new(
    app,
    browser_path: ENV.fetch("CHROMIUM", "/usr/bin/chromium"),
    process_timeout: 60,
    timeout: 20,
    window_size: BrowserSupport::PHONE,
    browser_options: BrowserSupport::OPTIONS.merge(watching),
    js_errors: true
  )
end

RSpec.describe "The camera", :browser do
  around { |example| Capybara.using_driver(:camera) { example.run } }

  it "reads a pack's bars, and the pack stands in the label line" do
    who = household!
    put_away(who, "canned-chickpeas", "cupboard", count: "2")
    act(
      :LearnBarcode,
      who,
      { code: "4006381333931", food_id: food_id(who, "canned-chickpeas"), amount: "400", unit: "g" }
    )
    enter(who)
    click_button "Scan"
    expect(page).to have_field("Label line: what do you put away?", with: "4006381333931", wait: 15)
    expect(page).to have_css(".pill", text: "Chickpeas, canned")
    expect(page).to have_no_css("video")
  end
end
