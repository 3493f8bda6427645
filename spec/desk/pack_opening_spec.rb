# frozen_string_literal: true

require_relative "../support/house"

# How a pack opens is said once.
RSpec.describe "How a pack opens" do
  let(:ines) { household! }

  def tin(**more) = put_away(ines, "canned-chickpeas", "cupboard", **more)["lot_id"]

  def opens(id) = lot(ines, id).opening

  it "is known of further packs of that size, and of no others" do
    tin(opening: "ring")
    expect([tin, tin(amount: "800"), tin(opening: "opener")].map { |id| opens(id) }).to eq(["ring", nil, "opener"])
    expect(opens(tin)).to eq("opener")
  end

  it "is learnt from what is changed on a stack, and forgotten with an undo" do
    first = tin
    done = act(:Amend, ines, { lot_id: first, opening: "key" })
    expect(opens(tin)).to eq("key")
    act(:Undo, ines, { act_id: done["act_id"] })
    expect(opens(tin)).to be_nil
  end
end
