# frozen_string_literal: true

require "prop_check"
require_relative "../support"
require_relative "../../../core/buying/food_need"
require_relative "../../../core/buying/trip_days"
require_relative "../../../core/rotation/habits"
require_relative "../../../core/rotation/once_opened"

# Two promises: nothing is asked for that will be there in time, and no meal is left short by what the list asks for.
RSpec.describe NutShelf::Core::FoodNeed do
  include CoreSupport

  core = NutShelf::Core
  let(:today) { day("2026-11-24") }

  # A shop with packs of one size; `lives`: days a pack is good from the day it is bought, `opened`: once open.
  def shop(size, lives: nil, opened: nil)
    number = 1000
    lambda do |grams, on|
      packs = (grams / size).ceil
      last = lives && (on + lives)
      life = opened && NutShelf::Core::OnceOpened.new(
        how: :opened, place_id: 1, place: "fridge", days: opened, strict_days: opened, kind: :safety
      )
      stack = stack(number += 1, nil, grams: packs * size, pack: size.to_r, pack_amount: size.to_r, ready_on: on,
        usable_until: last, strict_until: last, opened: life)
      Struct.new(:amount, :stacks).new(packs * size.to_r, [stack])
    end
  end

  def demands(list)
    list.map { |ahead, grams| NutShelf::Core::Demand.new(on: today + ahead, grams: grams.to_r, meal: ahead) }
  end

  def days(*ahead, to: 20, **more)
    NutShelf::Core::TripDays.new(ahead.map { |one| today + one }, from: today, to: today + to, **more)
  end

  def house(*stacks, daily: 0)
    shelf = NutShelf::Core::Shelf.new(stacks, foods: {}, today: today)
    -> { shelf.cursor(habits: NutShelf::Core::Habits.new({ "canned-chickpeas" => daily.to_r }, today)) }
  end

  def need(list, house:, days:, buy: shop(400), **more)
    described_class.new("canned-chickpeas", demands: demands(list), days: days, buy: buy, **more).call(&house)
  end

  def said(answer) = answer.gets.map { |get| [(get.on - today).to_i, get.grams.to_i, get.bought.amount.to_i] }

  it "asks for nothing that is at home in time" do
    expect(need({ 2 => 400, 5 => 300 }, house: house(stack(1, grams: 700)), days: days(0, 7)).gets).to be_empty
  end

  it "asks for what keeps on the first trip, up to the next, and then on that" do
    answer = need({ 2 => 300, 6 => 300, 9 => 500 }, house: house(stack(1, grams: 400)), days: days(1, 8, 15))
    expect(said(answer)).to eq([[1, 200, 400], [8, 300, 400]])
  end

  it "buys for two trips where one may fall out, and all at once where somebody asks for that" do
    list = { 2 => 400, 9 => 400, 16 => 400 }
    ahead = ->(**more) { said(need(list, house: house, days: days(0, 7, 14, **more))) }
    expect(ahead.()).to eq([[0, 400, 400], [7, 400, 400], [14, 400, 400]])
    expect(ahead.(may_fall_out: true)).to eq([[0, 800, 800], [14, 400, 400]])
    expect(ahead.(all_at_once: true)).to eq([[0, 1200, 1200]])
  end

  it "buys fresh food on the last trip that serves its meal, also where a trip may fall out" do
    trips = days(0, 3, 7, may_fall_out: true)
    expect(said(need({ 5 => 200, 8 => 200 }, house: house, days: trips, keeps: 4, buy: shop(200, lives: 4)))).to eq(
      [[3, 200, 200], [7, 200, 200]]
    )
  end

  it "says what is wanted before anybody goes, and whose food will not keep" do
    late = need({ 1 => 400 }, house: house, days: days(3, 10))
    expect(late.gets.map(&:late)).to eq([true])
    spoilt = need({ 6 => 400 }, house: house, days: days(0, 10), keeps: 2, buy: shop(400, lives: 2))
    expect(spoilt.gets).to be_empty
    expect(spoilt.spoils.map(&:meal)).to eq([6])
  end

  it "reckons with what is used besides" do
    answer = need({ 3 => 400 }, house: house(stack(1, grams: 400), daily: 50), days: days(0, 7))
    # 50 a day are gone before the meal; what it lacks, and the days after it up to the next trip
    expect(said(answer).first(1)).to eq([[0, 350, 400]])
    expect(answer.gets.first.meals.map(&:grams)).to eq([150r])
    expect(answer.gets.first.habit).to eq(200r)
  end

  it "buys a further pack where the first is past before the second meal" do
    answer = need({ 1 => 100, 9 => 100 }, house: house, days: days(0, 14), buy: shop(400, opened: 3))
    expect(said(answer)).to eq([[0, 200, 800]])
  end

  it "fills up to what is wanted once it falls below, and not before" do
    want = ->(par, floor = nil) { core::Wanted.new(par: par&.to_r, floor: floor&.to_r) }
    asked = lambda { |wanted|
      said(need({ 2 => 300 }, house: house(stack(1, grams: 800)), days: days(0, 7), wanted: wanted))
    }
    expect(asked.(want.(500))).to be_empty
    expect(asked.(want.(900))).to eq([[0, 400, 400]])
    expect(asked.(want.(900, 500))).to be_empty
    expect(asked.(want.(900, 501))).to eq([[0, 400, 400]])
  end

  it "goes to no shop for a spoonful that is used besides, but takes it along with what a meal lacks" do
    daily = house(daily: 10)
    expect(need({}, house: daily, days: days(0, 7), trifle: 150r).gets).to be_empty
    expect(said(need({}, house: daily, days: days(0, 7), trifle: 70r)).first).to eq([0, 70, 400])
    expect(said(need({ 3 => 200 }, house: daily, days: days(0, 7), trifle: 150r)).first).to eq([0, 200, 400])
  end

  it "keeps both promises in random households" do
    G = PropCheck::Generators unless defined?(G)
    households = G.tuple(
      G.array(G.tuple(G.choose(0..20), G.choose(1..900)), max: 8),
      G.array(G.tuple(G.choose(1..900), G.choose(0..30)), max: 4),
      G.choose(0..60), G.array(G.choose(0..18), max: 4),
      G.one_of(G.constant(nil), G.choose(1..20)), G.one_of(G.constant(nil), G.choose(1..9)), G.boolean
    )
    PropCheck.forall(households) do |list, stacks, daily, trips, keeps, opened, fall_out|
      list = list.sort_by(&:first).to_h
      trips = days(*trips.uniq.sort, may_fall_out: fall_out)
      stacks = stacks.each_with_index.map { |(grams, ahead), at| stack(at, (today + ahead).iso8601, grams: grams) }
      there = house(*stacks, daily: daily)
      buy = shop(400, lives: keeps, opened: opened)
      answer = need(list, house: there, days: trips, keeps: keeps, buy: buy)

      lacking = lambda do |gets|
        cursor = there.()
        gets.each { |get| get.bought.stacks.each { |one| cursor.bring(one) } }
        meals = demands(list).select { |one| cursor.draw("canned-chickpeas", one.grams, one.on).missing.positive? }
        cursor.reach("canned-chickpeas", today + 21)
        [meals.map(&:meal), cursor.shorts["canned-chickpeas"]&.total || 0r]
      end
      short, = lacking.(answer.gets)
      expect(short - answer.spoils.map(&:meal)).to be_empty
      _, nothing = lacking.([])
      expect(answer.gets).to be_empty if nothing.zero?
      # Each thing on the list is there because something lacks it.
      answer.gets.each { |get| expect(get.grams).to be_positive.or eq(0r) }
      expect(answer.gets.sum(0r, &:grams)).to be <= nothing
    end
  end
end
