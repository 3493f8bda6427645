# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/trips/making_up"

RSpec.describe NutShelf::Core::Trips::MakingUp do
  include CoreSupport

  let(:day) { Date.new(2027, 4, 5) }
  let(:foods) { %w[almonds dark-chocolate cereal-bars peanuts raisins crispbread].map { |key| food(key) } }

  def days(*sums) = sums.each_with_index.map { |(has, wants), at| [day + at, has.to_r, wants.to_r] }

  it "adds nothing where nine tenths are there, and comes up to what a day asks for where they are not" do
    made = described_class.new(foods, 3)
    expect(made.call(days([5400, 6000]))).to be_empty
    added = made.call(days([5000, 6000]))
    expect(added.sum { |one| one.food.nutrition.kcal * one.grams * 3 / 100 }).to be_between(1000, 1800)
    expect(added.map { |one| one.food.nutrition.kcal }).to all(be >= 350)
  end

  it "takes what is there first, not the same two days running, and no more of one than eighty grams" do
    stock = { "dark-chocolate" => [[day + 300, 500r]], "peanuts" => [[day - 1, 5000r]] }
    added = described_class.new(foods, 3, stock: stock).call(days([5000, 6000], [5000, 6000], [0, 9000]))
    first, second, third = added.group_by(&:day).values_at(day, day + 1, day + 2)
    expect(first.first.food.key).to eq("dark-chocolate")
    expect(first.map(&:food) & second.map(&:food)).to be_empty
    expect(third.map(&:grams)).to all(be <= 80)
    expect(third.size).to eq(4)
  end
end
