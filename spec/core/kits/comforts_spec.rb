# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/comforts"

RSpec.describe NutShelf::Core::Kits::Comforts do
  include KitSupport

  def gives = @gives ||= kits::Gives.new(catalog, figures, eaters: house)

  def told(*stacks, eaters: house, hot: false)
    described_class.new(eaters: eaters, crunch: catalog.kits.crunch, hot: hot).call(stacks.map { |one| gives.of(one) })
  end

  it "counts whole days on which everybody finds something with taste, whoever finds none by name" do
    expect(told(packs("rice", "white-rice", "5kg"))).to have_attributes(
      taste_days: 0, tasteless: %w[Ines Tomas Juna Wren Piet]
    )
    jam = packs("jam", "jam", "454g", count: 2)
    servings = gives.of(jam).servings
    expect(told(jam)).to have_attributes(taste_days: (servings / 5).floor, tasteless: [])
    picky = [*house.first(1), person("Juna", age: 15, dislikes: %w[jam])]
    expect(told(jam, eaters: picky).tasteless).to eq(["Juna"])
    expect(told(packs("nuts", "peanut-butter", "340g")).tasteless).to include("Wren")
  end

  it "names what goes soft before it is eaten, only where it is hot, and not in packs of a sitting" do
    large = packs("large", "crackers", "400g")
    small = packs("small", "corn-flakes", "150g", count: 9)
    expect(told(large, small).softening).to be_empty
    expect(told(large, small, hot: true).softening).to eq(["crackers"])
  end
end
