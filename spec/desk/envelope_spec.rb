# frozen_string_literal: true

require_relative "../support/house"

# What is done where nothing answers comes in later, and stands where it belongs.
RSpec.describe "Acts that come in late" do
  include HouseSupport

  let(:ines) { household! }
  let(:tin) do
    put_away(
      ines, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before",
      occurred_on: "2026-11-10"
    )[
      "lot_id"
    ]
  end

  def envelope(on: "2026-11-22", sequence: 1_000, held: "yes")
    NutShelf::Desk::Envelope.read(device: "phoneofjuna", sequence: sequence.to_s, on: on, held: held)
  end

  def late(klass, input, who: ines, key: key!, **more)
    NutShelf::Desk.const_get(klass).new(services, who).call(input, key: key, envelope: envelope(**more))
  end

  def story(id) = lot(ines, id).history.map { |event| event.values_at("kind", "on") }

  it "counts for the day they were done" do
    done = late(:Open, { lot_id: tin })
    expect(story(done["lot_id"])).to include(%w[opened 2026-11-22])
    now = act(:Open, ines, { lot_id: tin })
    expect(lot(ines, now["lot_id"]).usable_until - lot(ines, done["lot_id"]).usable_until).to eq(2)
  end

  it "takes what is still there and says what was not" do
    done = late(:Take, { lot_id: tin, amount: "2000" })
    expect(done).to include(
      "summary" => "Took 3 x 400 g Chickpeas, canned",
      "unsettled" => [match(/\AOnly .* of .* was still there\.\z/)]
    )
    expect(lot(ines, tin).on_hand).to eq(0)
    expect { late(:Take, { lot_id: tin, amount: "400" }) }.to raise_error(NutShelf::Desk::Conflict)
  end

  it "moves what is still there" do
    expect(
      late(:Move, { lot_id: tin, place_id: place_id(ines, "fridge"), amount: "1600" })["unsettled"]
    ).to contain_exactly(match(/still there/))
  end

  it "refuses in full what is done now and asks for too much" do
    expect { act(:Take, ines, { lot_id: tin, amount: "2000" }) }.to raise_error(NutShelf::Desk::Conflict, /Only/)
  end

  it "leaves a stack where a later move put it" do
    act(:Move, ines, { lot_id: tin, place_id: place_id(ines, "fridge") })
    done = late(:Move, { lot_id: tin, place_id: place_id(ines, "freezer") })
    expect(lot(ines, tin).place_id).to eq(place_id(ines, "fridge"))
    expect(done["unsettled"]).to contain_exactly(match(/moved again since: it stands in Fridge/))
  end

  it "keeps the order of the device within a day, whichever came in first" do
    late(:Move, { lot_id: tin, place_id: place_id(ines, "fridge") }, sequence: 3_000)
    late(:Move, { lot_id: tin, place_id: place_id(ines, "freezer") }, sequence: 2_000)
    expect(lot(ines, tin).place_id).to eq(place_id(ines, "fridge"))
    kinds = inside(ines) { |house| house.ledger.history(tin).map { |act| act.summary[/to (\w+)/, 1] }.compact }
    expect(kinds).to eq(%w[Freezer Fridge])
    expect(lot(ines, tin).frozen).to be(false)
  end

  it "puts what was done earlier before what was done later in the history" do
    act(:Take, ines, { lot_id: tin, amount: "400" })
    late(:Look, { lot_id: tin, result: "good" })
    expect(inside(ines) { |house| house.ledger.history(tin).map(&:kind) }).to eq(%w[put_away look take])
  end

  it "lets a clock that runs ahead reach no further than now" do
    ahead =
      late(
        :Move,
        { lot_id: tin, place_id: place_id(ines, "fridge") },
        on: "2026-11-24",
        sequence: 9_000_000_000_000_000
      )
    act(:Move, ines, { lot_id: tin, place_id: place_id(ines, "freezer") })
    expect(lot(ines, ahead["lot_id"]).place_id).to eq(place_id(ines, "freezer"))
  end

  it "refuses a day that has not come, one too long ago, and one before the stack came" do
    expect { late(:Take, { lot_id: tin }, on: "2026-11-25") }.to raise_error(NutShelf::Desk::Invalid, /not come/)
    expect { late(:Take, { lot_id: tin }, on: "2026-10-24") }.to raise_error(NutShelf::Desk::Conflict) { |error|
      expect(error.code).to eq("too_late")
    }
    expect { late(:Take, { lot_id: tin }, on: "2026-11-09") }.to raise_error(
      NutShelf::Desk::Conflict,
      /came only on 2026-11-10/
    )
    expect(lot(ines, tin).on_hand).to eq(1200)
  end

  it "goes by today when nothing had to wait" do
    late(:Look, { lot_id: tin, result: "good" }, held: nil)
    expect(story(tin)).to eq([%w[looked 2026-11-24]])
  end

  it "is told twice and done once" do
    key = key!
    first = late(:Take, { lot_id: tin, amount: "400" }, key: key)
    expect(late(:Take, { lot_id: tin, amount: "400" }, key: key)).to eq(first)
    expect(lot(ines, tin).on_hand).to eq(800)
  end

  it "gives a helper no way to call good what is not to eat" do
    wren = joined(household!, "helper")
    mince =
      put_away(
        wren, "beef-mince", "fridge", printed_on: "2026-11-22", printed_kind: "use_by", occurred_on: "2026-11-20"
      )[
        "lot_id"
      ]
    rescue_it = -> { late(:Move, { lot_id: mince, place_id: place_id(wren, "freezer") }, who: wren, on: "2026-11-21") }
    expect(&rescue_it).to raise_error(NutShelf::Desk::Forbidden)
  end

  it "reads an envelope whole or not at all" do
    [
      { device: "X", sequence: "1", on: "2026-11-24" },
      { device: "phoneofjuna", sequence: "0", on: "2026-11-24" },
      { device: "phoneofjuna", sequence: "1" },
      { device: "phoneofjuna", sequence: "1", on: "24 Nov" }
    ].each do |parts|
      expect { NutShelf::Desk::Envelope.read(**parts) }.to raise_error(NutShelf::Desk::Invalid, /envelope/)
    end
    expect(NutShelf::Desk::Envelope.read).to eq(NutShelf::Desk::Envelope::NONE)
  end
end
