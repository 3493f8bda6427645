# frozen_string_literal: true

require_relative "../support/house"
require_relative "../../desk/week"

# What a month of meals lacks, by the household's shopping days.
RSpec.describe NutShelf::Desk::ShoppingDays do
  let(:ines) { household! }
  let(:today) { HouseSupport::TODAY }

  def dish(food)
    inside(ines) do |house|
      house.recipes.values.find do |_, one|
        one.lines.any? { |line| line.food_key == food && !line.optional }
      end
    end.first
  end

  def plan(food, ahead) = act(:PlanMeal, ines, { recipe_id: dish(food), on: (today + ahead).iso8601, meal: "dinner" })

  def shop_on(*weekdays)
    version = inside(ines) { |house| house.household.row.version }
    act(:SetHousehold, ines, { version: version, settings: { shopping_days: weekdays } })
  end

  def week(days = 28)
    at_work(ines) { |work| yield NutShelf::Desk::Week.new(work, from: today, to: today + days - 1) }
  end

  it "gets rice with the first ferry and fish with the last one before its meal" do
    shop_on(2, 6)
    plan("white-rice", 16)
    plan("white-fish", 16)
    week do |month|
      days = month.shopping.days
      expect(days.first(3).map(&:iso8601)).to eq(%w[2026-11-24 2026-11-28 2026-12-01])
      bought = month.trips.trips.flat_map { |trip| trip.buys.keys.map { |key| [key, trip.on] } }.to_h
      expect(bought["white-rice"]).to eq(days.first)
      expect(bought["white-fish"]).to eq(days.select { |day| day <= today + 16 }.last)
    end
  end

  it "counts the meals of a whole month, however far they are" do
    plan("white-fish", 20)
    near = week(7) { |one| one.balance.to_buy }
    far = week(28) { |one| one.balance.to_buy }
    expect([near, far]).to match([0, be_positive])
  end

  it "asks nothing of a household without such days" do
    plan("white-rice", 2)
    week { |month| expect(month.shopping.days).to be_empty }
  end

  it "goes by the careful figure, and lets the freezer keep" do
    at_work(ines) do |work|
      days = described_class.new(work, from: today, to: today + 6)
      expect(days.keeps("white-fish")).to be_between(0, 3)
      expect(days.keeps("frozen-peas")).to be_nil
      expect(days.keeps("white-rice").to_i).to(satisfy { |number| number.zero? || number > 100 })
    end
  end
end
