# frozen_string_literal: true

require "base64"
require_relative "../support/house"
require_relative "../support/whole_week"
require_relative "../../desk/audit"

# A household with an imported list plans a week and lives through it. After every step the stock, the forecast, the
# balance and the missing list say the same.
RSpec.describe "A whole week of meals" do
  include HouseSupport
  include WholeWeekSupport

  let(:today) { HouseSupport::TODAY }
  let(:ines) { household!(people: 3) }

  it "is audited, filled, changed, cooked, eaten and carried over, and every view agrees at every step" do
    act(:ImportStock, ines, { content: Base64.strict_encode64(list(today)) })
    agree!(ines)
    audit = at_work(ines) { |work| NutShelf::Desk::Audit.new(work, from: today, to: today + 6).turning }
    expect(audit.map { |one| one.stack.food_key }).to include("ham-sliced", "canned-chickpeas", "white-bread")
    live_the_week(ines)
  end
end
