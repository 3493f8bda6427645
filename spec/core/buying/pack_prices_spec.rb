# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/buying/pack_prices"

RSpec.describe NutShelf::Core::PackPrices do
  include CoreSupport

  let(:chickpeas) { food("canned-chickpeas") }

  def paid(minor, amount, on, pack: nil, shop: nil)
    NutShelf::Core::PaidOnce.new(
      price_minor: minor, amount: amount.to_r, dimension: "mass", pack: pack&.to_r, on: day(on), shop_id: shop
    )
  end

  def packs(*list, **more)
    described_class.new(chickpeas, list, **more).packs.map do |one|
      [one.quantity.amount.to_i, one.price_minor, one.basis, one.before_minor]
    end
  end

  it "says what the usual packs are likely to cost where nobody ever paid, and that it is an estimate" do
    expect(packs).to all(satisfy { |one| one[2] == "estimate" })
    expect(packs(estimates: { "protein" => 100, "vegetables" => 100 }).map { |one| one[1] }).to eq(
      chickpeas.typical_packs.map { |one| (one.amount / 10).to_i }.sort
    )
  end

  it "takes the latest price of that very pack, with the one before, whatever a dearer day said" do
    expect(
      packs(paid(267, 1200, "2026-11-20", pack: 400), paid(79, 400, "2026-10-01", pack: 400),
        paid(99, 400, "2026-09-01", pack: 400))
    ).to eq([[400, 89, "latest", 79]])
  end

  it "asks the shop somebody goes to before any other" do
    list = [paid(89, 400, "2026-11-20", pack: 400, shop: 1), paid(75, 400, "2026-10-01", pack: 400, shop: 2)]
    expect(packs(*list, shop_id: 2)).to eq([[400, 75, "latest", nil]])
    expect(packs(*list, shop_id: 3)).to eq([[400, 89, "latest", 75]])
  end

  it "sells fruit by the piece as well, and guesses a price by the pack for what nothing says the weight of" do
    bananas = described_class.new(food("bananas"), []).packs
    expect(bananas.map { |one| one.quantity.amount.to_i }).to start_with(1)
    soap = described_class.new(food("toilet-paper"), []).packs
    expect(soap.map { |one| [one.price_minor, one.estimate?] }.uniq).to eq([[described_class::A_PACK, true]])
  end

  it "reckons with the median by the gram where only loose ones were paid for" do
    list = [paid(100, 1000, "2026-11-20"), paid(300, 1000, "2026-11-21"), paid(200, 1000, "2026-11-22")]
    expect(packs(*list).first).to eq([chickpeas.typical_packs.map { |one| one.amount.to_i }.min, 48, "per_unit", nil])
    expect(described_class.new(chickpeas, list).loose(500r)).to eq([100, false])
  end
end
