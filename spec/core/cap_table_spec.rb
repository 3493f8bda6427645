# frozen_string_literal: true

require_relative "support"

# Worked examples of the table in docs/dating.md: five stacks whose cap is the 26th of November (the loaf's is the 1st
# of December), and what one event on the 25th, in time, or on the 27th, too late, makes of each.
module CapTable
  STACKS = {
    "mince" => ["beef-mince", "fridge", { printed_on: "2026-11-26", printed_kind: :use_by, acquired_on: "2026-11-24" }],
    "yoghurt" => [
      "plain-yoghurt",
      "fridge",
      { printed_on: "2026-11-26", printed_kind: :best_before, acquired_on: "2026-11-20" }
    ],
    "stew" => ["class-cooked-soup-stew", "fridge", { situation: "left_over", made_on: "2026-11-24", leftover_days: 2 }],
    "tin" => [
      "canned-chickpeas",
      "cupboard",
      { printed_on: "2026-11-26", printed_kind: :best_before, acquired_on: "2026-01-24" }
    ],
    "loaf" => ["white-bread", "cupboard", { acquired_on: "2026-11-24" }]
  }.freeze

  # Stop, look, or the last good day.
  IN_TIME = <<~TABLE
    event    | mince      | yoghurt    | stew       | tin        | loaf
    nothing  | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-12-01
    good     | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-12-01
    turning  | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-27
    bad      | stop       | stop       | stop       | stop       | stop
    carried  | 2026-11-25 | 2026-11-25 | 2026-11-25 | 2026-11-26 | 2026-12-01
    opened   | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-25 | 2026-11-30
    cut      | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-25 | 2026-11-30
    cooked   | 2026-11-27 | 2026-11-27 | 2026-11-26 | 2026-11-25 | 2026-11-30
    frozen   | 2027-03-25 | 2027-01-24 | 2027-02-23 | 2026-11-26 | 2027-02-23
    thawed   | 2026-12-02 | 2026-12-03 | 2026-12-02 | 2026-11-26 | 2026-12-03
    stored   | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-12-01
    younger  | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-11-26 | 2026-12-01
    older    | 2026-11-25 | 2026-11-25 | 2026-11-25 | 2026-11-25 | 2026-11-25
    stopped  | stop       | stop       | stop       | stop       | stop
    no age   | stop       | stop       | stop       | stop       | stop
  TABLE

  TOO_LATE = <<~TABLE
    event    | mince      | yoghurt    | stew       | tin        | loaf
    nothing  | stop       | look       | stop       | look       | 2026-12-01
    good     | stop       | look       | stop       | 2027-05-26 | 2026-12-01
    turning  | stop       | look       | stop       | 2026-11-29 | 2026-11-29
    bad      | stop       | stop       | stop       | stop       | stop
    carried  | stop       | look       | stop       | look       | 2026-12-01
    opened   | stop       | look       | stop       | look       | 2026-12-01
    cut      | stop       | look       | stop       | look       | 2026-12-01
    cooked   | stop       | look       | stop       | look       | 2026-12-02
    frozen   | stop       | look       | stop       | look       | 2027-02-25
    thawed   | stop       | look       | stop       | look       | 2026-12-05
    stored   | stop       | look       | stop       | look       | 2026-12-01
    younger  | stop       | look       | stop       | look       | 2026-12-01
    older    | stop       | stop       | stop       | stop       | stop
    stopped  | stop       | stop       | stop       | stop       | stop
    no age   | stop       | stop       | stop       | stop       | stop
  TABLE
end

RSpec.describe NutShelf::Core::Judge, "events by caps" do
  include CoreSupport

  def move(on, kind) = event(:moved, on, place: standing(kind))

  def poured(on, **facts)
    event(:topped_up, on, parts: [NutShelf::Core::Part.new(name: "What went in", **facts)].freeze)
  end

  # @return [Array<Event>] what the row of that name means on that day
  def happenings(name, on)
    case name
    when "nothing"
      []
    when "good", "turning", "bad"
      [event(:looked, on, result: name.to_sym)]
    when "carried"
      [move(on, "cool_dark")]
    when "frozen"
      [move(on, "freezer")]
    when "thawed"
      [move(on, "freezer"), move((day(on) + 6).iso8601, "fridge")]
    when "stored"
      [event(:stored, on, method: "bag")]
    when "younger"
      [poured(on, safety_until: day("2026-12-20"), quality_until: day("2026-12-20"))]
    when "older"
      [poured(on, safety_until: day("2026-11-25"))]
    when "stopped"
      [poured(on, stopped: true, reason: "It was found bad.")]
    when "no age"
      [poured(on, unknown: true)]
    else
      [event(name.to_sym, on)]
    end
  end

  def verdict(dating) = { stop: "stop", look: "look" }.fetch(dating.state) { dating.usable_until.iso8601 }

  def made(stack, events, today:)
    key, place, facts = CapTable::STACKS.fetch(stack)
    date(story(key, place, **facts, events: events), today: today)
  end

  [["2026-11-25", CapTable::IN_TIME], ["2026-11-27", CapTable::TOO_LATE]].each do |on, table|
    head, *rows = table.lines.map { |line| line.split("|").map(&:strip) }
    rows.each do |name, *wanted|
      it "have #{name} on #{on} leave what the table says" do
        expect(head.drop(1).to_h { |stack| [stack, verdict(made(stack, happenings(name, on), today: on))] }).to eq(
          head.drop(1).zip(wanted).to_h
        )
      end
    end
  end

  it "are read by the code from one table, and the documents name each cause in it" do
    causes = NutShelf::Core::Caps::LIFTED_BY.values.flatten.uniq
    expect(causes).not_to include(:infant)
    expect(NutShelf::Core::Caps::LIFTED_BY.keys).to eq(%i[cooked frozen])
    expect(causes & NutShelf::Core::Caps::NEVER_COVERED).to eq(%i[turning care power_cut])
  end

  describe "infant food" do
    let(:facts) { { printed_on: "2026-11-26", printed_kind: :best_before, acquired_on: "2026-11-20" } }
    let(:infant) { catalog.foods.values.find(&:infant).key }

    it "is never good past its printed date, whatever is done with it" do
      %w[nothing good turning carried opened cut cooked frozen thawed stored younger].each do |name|
        dating = date(story(infant, "cupboard", **facts, events: happenings(name, "2026-11-25")), today: "2026-11-27")
        expect([name, dating.state]).to eq([name, :stop])
      end
    end
  end
end
