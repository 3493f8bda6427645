# frozen_string_literal: true

require "json"
require_relative "support"
require_relative "../../exchange/story_file"
require_relative "../../core/dating/own_time"

RSpec.describe NutShelf::Exchange::StoryFile do
  def answers(*rows) = described_class.new(JSON.generate(rows), catalog: NutShelf::Boot::Reference.catalog).answers

  def oats(id, printed, events: [], **more)
    {
      id: id,
      food: "rolled-oats",
      situation: "bought_sealed",
      place: "cupboard",
      acquired_on: "2026-10-01",
      printed_on: printed,
      printed_kind: "best_before",
      today: "2026-11-26",
      events: events,
      **more
    }
  end

  it "answers by id, with days, flags and reasons" do
    answer = answers(oats("tin", "2027-12-20"))["tin"]
    expect(answer).to include(
      state: :resting,
      usable_until: "2027-12-20",
      quality_until: "2027-12-20",
      safety_until: nil,
      ready_on: nil,
      flags: [],
      steps: include(/20 Dec 2027/)
    )
  end

  it "takes along what an earlier story was on that day, whatever became of it later" do
    sack = oats("sack", "2026-11-30", events: [{ kind: "looked", on: "2026-11-20", result: "bad" }])
    poured = lambda do |on|
      answers(oats("jar", "2027-12-20", events: [{ kind: "topped_up", on: on, from: ["sack"] }]), sack)["jar"]
    end
    expect(poured.call("2026-11-10")).to include(usable_until: "2026-11-30", state: :front)
    expect(poured.call("2026-11-20")).to include(state: :stop)
    expect(poured.call("2026-11-21")).to include(state: :stop)
  end

  it "follows a lineage through several stories" do
    first = oats("first", "2026-12-05")
    second = oats("second", "2027-05-01", events: [{ kind: "topped_up", on: "2026-11-01", from: ["first"] }])
    third =
      oats(
        "third",
        "2028-05-01",
        events: [{ kind: "opened", on: "2026-10-20" }, { kind: "topped_up", on: "2026-11-10", from: ["second"] }]
      )
    expect(answers(first, second, third)["third"][:usable_until]).to eq("2026-12-05")
    undone =
      answers(
        first,
        oats("second", "2027-05-01", events: [{ kind: "topped_up", on: "2026-11-20", from: ["first"] }]),
        third
      )
    expect(undone["third"][:usable_until]).to eq("2027-05-01")
  end

  it "settles what came first within a day by its order, and goes by the date for those who want that" do
    events = [
      { kind: "looked", on: "2026-11-24", order: 2, result: "good" },
      { kind: "moved", on: "2026-11-24", order: 1, place: "freezer" }
    ]
    cheese = {
      id: "a", food: "cheddar", place: "fridge", acquired_on: "2026-10-01", printed_on: "2026-11-20",
      printed_kind: "best_before", today: "2026-11-26"
    }
    first = answers({ **cheese, events: events })["a"]
    other = answers({ **cheese, events: events.map { |event| { **event, order: 3 - event[:order] } } })["a"]
    expect([first[:quality_until], other[:quality_until] > "2027-01-01"]).to eq(["2026-11-20", true])
    looked = oats("b", "2026-11-01", events: [{ kind: "looked", on: "2026-11-20", result: "good" }])
    expect(
      [
        answers(looked)["b"][:state],
        answers({ **looked, strict: true })["b"][:state],
        answers({ **looked, school: "by_the_date" })["b"][:state]
      ]
    ).to eq(%i[resting look look])
  end

  it "says what is wrong, where, and how to mend it" do
    faults = {
      "{" => /no JSON/,
      "{}" => /list of stories/,
      JSON.generate([{ food: "x" }]) => /needs an id/,
      JSON.generate([oats("a", nil), oats("a", nil)]) => /stands there twice/,
      JSON.generate([oats("a", "x")]) => /Story a: printed_on cannot be "x"/,
      JSON.generate([oats("a", nil, food: "nothing")]) => /Story a: food cannot be "nothing"/,
      JSON.generate([oats("a", nil, place: "moon")]) => /Use one of cupboard/,
      JSON.generate([oats("a", nil, today: nil)]) => /Story a: today/,
      JSON.generate([oats("a", nil, events: [{ kind: "moved", on: "2026-11-01" }])]) => /place cannot be nil/,
      JSON.generate([oats("a", nil, events: {})]) => /events must be a list/,
      JSON.generate([oats("a", nil, events: [{ kind: "topped_up", on: "2026-11-01", from: ["b"] }])]) => /no story "b"/,
      JSON.generate([oats("a", nil, events: [{ kind: "topped_up", on: "2026-11-01", from: ["a"] }])]) =>
        /made of itself/
    }
    faults.each do |text, words|
      expect { described_class.new(text, catalog: NutShelf::Boot::Reference.catalog).answers }.to raise_error(
        described_class::Unreadable,
        words
      )
    end
  end
end

RSpec.describe NutShelf::Core::OwnTime do
  include CoreSupport

  def breach(key, place, state, high, storage: nil)
    row =
      NutShelf::Core::KeepingRow.new(
        scope: key, place: place, state: state, low: 1, high: high, kind: :quality, own_reason: "Ours",
        storage: storage
      )
    described_class.breach(catalog, food(key), row)
  end

  it "lets an own time be as long as the guide's safety time, not a day longer" do
    guide = catalog.keeping(food("beef-mince"), "opened", "fridge").row
    expect(breach("beef-mince", "fridge", "opened", guide.high)).to be_nil
    expect(breach("beef-mince", "fridge", "opened", guide.high + 1)).to have_attributes(
      limit: guide.high,
      words: /matter of safety/
    )
  end

  it "names the tightest of several limits, and none where the guide calls it unsafe" do
    expect(breach("beef-mince", "fridge", "cut", 400).limit).to be <= 4
    unsafe =
      catalog
        .foods
        .values
        .product(%w[cupboard])
        .find { |one, place| catalog.keeping(one, "opened", place).outcome == :unsafe }
    if unsafe
      expect(breach(unsafe.first.key, "cupboard", "opened", 2)).to have_attributes(
        limit: nil,
        words: /no own time for it/
      )
    end
    expect(breach("mozzarella", "fridge", "cooked", 400)).to have_attributes(
      limit: 3,
      words: /\ALeft over in the fridge, 3 days?, is|\ALeft over in the fridge, \d to 3 days, is/
    )
    expect(breach("cooked-rice", "cupboard", "opened", 400)).to have_attributes(limit: nil, words: /two hours/)
    expect(breach("honey", "cupboard", "opened", 9000)).to be_nil
    expect(breach("lettuce", "cupboard", "whole", 3)).to be_nil
  end
end
