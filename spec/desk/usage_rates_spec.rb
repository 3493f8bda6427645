# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/usage_rates"

RSpec.describe NutShelf::Desk::UsageRates do
  let(:ines) { household! }
  let(:today) { HouseSupport::TODAY }

  def rate(key) = at_work(ines) { |work| described_class.new(work).rate(food_id(ines, key), "mass") }

  it "leaves out the week nobody ate at home" do
    clock.day = today - 41
    lot = put_away(ines, "rolled-oats", "cupboard", amount: "5000")["lot_id"]
    [38, 31, 24, 10, 3].each do |days|
      clock.day = today - days
      act(:Take, ines, { lot_id: lot_of(lot), amount: "70" })
    end
    clock.day = today
    before = rate("rolled-oats").weekly
    (14..20).each { |days| away(today - days) }
    expect([before < 70, rate("rolled-oats").weekly]).to eq([true, 70])
  end

  # The open pack, once there is one.
  def lot_of(lot)
    on_shelf(ines).find { |stack| stack.food_key == "rolled-oats" && stack.on_hand.positive? }&.id || lot
  end

  def away(day)
    clock.day = day
    act(:SetSlot, ines, { on: day.iso8601, meal: "dinner", evening: "out" })
    clock.day = today
  end
end
