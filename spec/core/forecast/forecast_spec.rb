# frozen_string_literal: true

require "spec_helper"
require "json"
require "open3"
require "tmpdir"
require_relative "day_by_day"
require_relative "../../../exchange/forecast_file"

RSpec.describe NutShelf::Core::Forecast do
  cases = JSON.parse(File.read(File.expand_path("../../cases/forecast.json", __dir__)))
  answers = ->(input) { NutShelf::Exchange::ForecastFile.new([{ id: "it", input: input }].to_json).answers.fetch("it") }

  cases.each do |one|
    it "answers #{one["id"]} as worked out" do
      expect(JSON.parse(answers.(one["input"]).to_json)).to eq(one["expected"])
    end
  end

  # What somebody with a pencil would do, a day after the other, against the walk from event to event.
  it "says what a walk day by day says, for any lots, packs, dates and uses" do
    chance = Random.new(20_261_127)
    300.times do
      input = NutShelf::DayByDay.random(chance)
      expect(answers.(input)).to eq(NutShelf::DayByDay.new(input).answer), -> { input.to_json }
    end
  end

  it "is read from the shell, and says which case and field it cannot read" do
    bin = File.expand_path("../../../bin/forecast-check", __dir__)
    Dir.mktmpdir do |folder|
      file = File.join(folder, "cases.json")
      File.write(file, cases.first(2).to_json)
      out, = Open3.capture2(bin, file)
      expect(JSON.parse(out).keys).to eq(%w[oats milk_opened])

      File.write(file, [{ id: "bad", input: { from: "2026-11-24", to: "soon", lots: [] } }].to_json)
      _, error, status = Open3.capture3(bin, file)
      expect(status).not_to be_success
      expect(error).to include("Case bad, to (\"soon\")")
    end
  end

  describe "for a household" do
    let(:today) { Date.new(2026, 11, 24) }
    let(:oats) { { food_key: "oats", dimension: :mass, grams_per_unit: 1r, minor_per_gram: 1/5r, label: "" } }

    def stack(id, grams, good, **more)
      NutShelf::Core::Stack.new(
        id: id, on_hand: grams.to_r, amount: grams.to_r, usable_until: good, strict_until: good, **oats, **more
      )
    end

    def shelf(*stacks) = NutShelf::Core::Shelf.new(stacks, foods: {}, today: today)

    def habit(grams) = NutShelf::Core::Habits.new({ "oats" => grams.to_r }, today)

    it "counts what goes past in money" do
      forecast = described_class.new(shelf(stack(1, 500, today + 6)), to: today + 30, habits: habit(60))
      expect(forecast.goes_past.map { |one| [one.stack.id, one.amount, one.on, one.value_minor] }).to eq(
        [[1, 80r, today + 7, 16]]
      )
    end

    it "does not call past what was past before, nor what nobody may eat anyway" do
      stopped = stack(2, 100, today + 3, stopped: true)
      forecast = described_class.new(shelf(stack(1, 500, today - 9), stopped), to: today + 30)
      expect(forecast.goes_past.map { |one| one.stack.id }).to eq([2])
    end

    it "keeps a tin that a look may cover until the look cannot, unless somebody goes by the date" do
      tin = stack(1, 500, today + 6, look_until: today + 40)
      lasting = ->(**rules) { described_class.new(shelf(tin), to: today + 90, **rules).goes_past.map(&:on) }
      expect(lasting.(allow_look: true, strict: false)).to eq([today + 41])
      expect(lasting.(allow_look: false, strict: false)).to eq([today + 7])
      expect(lasting.(allow_look: true, strict: true)).to eq([today + 7])
    end

    it "never keeps anything past its safety date, look or no look" do
      tin = stack(1, 500, today + 6, look_until: today + 40, safety_until: today + 20)
      forecast = described_class.new(shelf(tin), to: today + 90, habits: habit(1))
      expect(forecast.goes_past.map(&:on)).to eq([today + 21])
      expect(forecast.used).to eq(1 => 21r)
    end

    it "eats what will come from the day it comes" do
      bought = stack(9, 600, today + 60, ready_on: today + 10)
      forecast =
        described_class.new(shelf(stack(1, 300, today + 30)), to: today + 29, habits: habit(60), inflows: [bought])
      short = forecast.runs_out.fetch("oats")
      expect([short.on, short.total]).to eq([today + 5, (60 * 15).to_r])
      expect(forecast.used).to eq(1 => 300r, 9 => 600r)
    end

    it "lets a meal take before what is used at the end of its day, and what was used before it go first" do
      use = NutShelf::Core::Use.new(food_key: "oats", on: today + 2, amount: 300r)
      forecast = described_class.new(shelf(stack(1, 400, nil)), to: today + 4, habits: habit(60), uses: [use])
      short = forecast.runs_out.fetch("oats")
      expect([short.on, short.amount, short.total]).to eq([today + 2, 20r, 20r + 60 + 60 + 60])
    end

    it "lets those eat besides who do not go by the date, and keeps it from the meals of those who do" do
      apple = stack(1, 600, today + 30).with(strict_until: today - 1)
      forecast = described_class.new(shelf(apple), to: today + 4, habits: habit(60), strict: true)
      expect(forecast.runs_out).to be_empty
      expect(forecast.used).to eq(1 => 300r)
      use = NutShelf::Core::Use.new(food_key: "oats", on: today + 2, amount: 50r)
      strict = described_class.new(shelf(apple), to: today + 4, uses: [use], strict: true)
      expect(strict.runs_out.fetch("oats").amount).to eq(50r)
    end

    it "is the same whoever asks first, and leaves the shelf as it was" do
      there = shelf(stack(1, 500, today + 6, pack: 250r))
      first = described_class.new(there, to: today + 30, habits: habit(60))
      expect(described_class.new(there, to: today + 30, habits: habit(60)).used).to eq(first.used)
      expect(there.cursor.left("oats", today)).to eq(500r)
    end
  end
end
