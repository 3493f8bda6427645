# frozen_string_literal: true

require_relative "../../../core/buying/receipt"

RSpec.describe NutShelf::Core::Receipt do
  foods = { "CHICKPEAS 400G" => 1, "MILK 2L" => 2 }

  def bought(ref, text, food_id, price)
    described_class::Bought.new(ref: ref, text: text, food_id: food_id, price_minor: price)
  end

  define_method(:lines) { |text| described_class.read(text) { |words| foods[words] } }

  it "reads lines that name a price, by point or comma, and nothing that was not bought" do
    found = lines("QUAY STORES\n CHICKPEAS 400G   0.89 A\nMILK 2L 2,25\nBOTTLE BACK -0.25\nTOTAL 2.89\nCARD 2.89\n")
    expect(found.map { |line| [line.text, line.price_minor, line.food_id] }).to eq(
      [["CHICKPEAS 400G", 89, 1], ["MILK 2L", 225, 2], ["BOTTLE BACK", -25, nil]]
    )
  end

  it "adds up what one food cost on several lines, and names what is beside the list and what is missing" do
    basket = [bought("a", "Chickpeas, canned", 1, 178), bought("b", "lamp wick", nil, nil), bought("c", "Milk", 2, 225)]
    check = described_class.new(lines("CHICKPEAS 400G 0.89\nCHICKPEAS 400G 0.99\nLAMP WICK 1.50\nGUM 0.60\n"), basket)
    expect(check.pairs.map do |pair|
      [pair.bought.ref, pair.paid, pair.same?]
    end).to eq([["a", 188, false], ["b", 150, false]])
    expect(check.extra.map(&:text)).to eq(["GUM"])
    expect(check.unpaid.map(&:ref)).to eq(["c"])
  end

  it "leaves no line out and counts none twice" do
    random = Random.new(2)
    100.times do
      text = Array.new(random.rand(0..8)) do
        "#{foods.keys.sample(random: random)} #{random.rand(1..9)}.#{random.rand(10..99)}"
      end
      basket = Array.new(random.rand(0..4)) { |at| bought(at.to_s, "x", [1, 2, 3, nil].sample(random: random), 100) }
      check = described_class.new(lines(text.join("\n")), basket)
      expect(check.pairs.flat_map(&:lines).size + check.extra.size).to eq(text.size)
      expect(check.pairs.size + check.unpaid.size).to eq(basket.uniq.size)
    end
  end
end
