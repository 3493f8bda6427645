# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/eat_down"

# Days without shopping: what the shelf carries, and for how long.
RSpec.describe NutShelf::Desk::EatDown do
  include HouseSupport

  let(:today) { HouseSupport::TODAY }
  let(:ines) { household!(people: 2) }

  def far = { printed_on: (today + 400).iso8601, printed_kind: "best_before" }

  def eat_down(days, fresh: [])
    at_work(ines) { |work| described_class.new(work, days: days, fresh: fresh).ready.call(moves: 3000) }
  end

  # A full cupboard, in the packs such food comes in.
  def stock!
    { "split-peas" => [4, 500], "red-lentils" => [4, 500], "white-rice" => [3, 1000], "canned-kidney-beans" => [6, 400],
      "canned-chopped-tomatoes" => [10, 400], "dry-pasta" => [4, 500], "canned-white-beans" => [6, 400],
      "tomato-paste" => [6, 70], "canned-tuna-water" => [6, 110], "couscous" => [2, 1000],
      "canned-chickpeas" => [5, 400] }
      .each do |key, (count, size)|
      put_away(ines, key, "cupboard", count: count.to_s, amount: size.to_s, unit: "g",
    **far)
    end
    { "dried-onion" => "g", "garlic-powder" => "g", "olive-oil" => "ml", "vegetable-oil" => "ml",
      "stock-cubes-vegetable" => "g", "lemon-juice-bottled" => "ml", "curry-powder" => "g", "dried-carrots" => "g" }
      .each { |key, unit| put_away(ines, key, "cupboard", amount: "800", unit: unit, **far) }
  end

  it "is over at once where nothing is there, and says which meals have nothing" do
    found = eat_down(5)
    expect(found).to have_attributes(lasts: 0, covered: 0, from_shelf: 0)
  end

  it "carries the days a full cupboard has meals for, and says what gives out first over more of them" do
    stock!
    few = eat_down(4)
    expect(few.lasts).to eq(4)
    expect(few.dishes.values.flat_map(&:missing)).to eq([])
    expect(few.from_shelf).to be_positive
    many = eat_down(42)
    expect(many.lasts).to be_between(4, 41)
    expect(many.gives_out).not_to be_empty
    expect(many.gives_out.values).to eq(many.gives_out.values.sort)
  end

  it "counts what is fetched fresh all the same as there" do
    stock!
    without = eat_down(42)
    found = eat_down(42, fresh: %w[eggs potatoes onions carrots].map { |key| food_id(ines, key) })
    bought = found.dishes.values.flat_map(&:missing).map(&:food_key)
    expect(bought).to include("potatoes").or include("eggs").or include("carrots").or include("onions")
    expect(found.lasts).to be >= without.lasts
  end
end
