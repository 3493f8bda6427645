# frozen_string_literal: true

require_relative "../support/api"

# An ordinary pantry goes in by the label line: half of it American, half European, each line by one Enter, or by one
# answer where the line itself leaves it open. "?" names what is asked.
RSpec.describe "A pantry of eighty foods", :api do
  file = File.expand_path("pantry_lines.txt", __dir__)
  houses =
    File
      .readlines(file, chomp: true)
      .slice_before(/\A## /)
      .to_h { |section| [section.first[/\w+/], section.grep(%r{ \| }).map { |row| row.split(" | ", 2) }] }
  habits = { "us" => { day_order: "mdy", currency: "USD", settings: { measures: "us" } }, "eu" => {} }

  def answered(draft, wanted)
    asked = draft["questions"].map { |question| question["field"] }
    expect(asked).to eq(wanted)
    expect(draft["unread"]).to eq([])
    # No dead end: whatever is asked has an answer to touch.
    expect(draft["questions"].map { |question| question["answers"].size }).to all(be_positive)
    draft["questions"].to_h { |question| [question["field"], question["answers"].first["value"]] }
  end

  def put(draft, place, answers)
    printed = %w[best_before use_by].include?(draft["date_kind"])
    tell(
      "/api/stacks",
      {
        food_id: (answers["food"] || draft.dig("food", "id")).to_i,
        place_id: draft.dig("place", "id") || place,
        count: draft["count"],
        amount: draft["amount"],
        unit: draft["amount"] && draft["unit"],
        noun: draft["amount"] ? nil : draft["unit"],
        printed_on: printed ? draft["date"] : nil,
        printed_kind: printed ? draft["date_kind"] : nil,
        made_on: draft["date_kind"] == "made" ? draft["date"] : nil,
        opened_on: draft["opened_on"],
        frozen_on: draft["frozen_on"],
        price_minor: draft["price_minor"],
        state: draft["state"]
      }.compact
    )
  end

  houses.each do |name, lines|
    it "has #{lines.size} lines of the household #{name} read right and put away" do
      who = sign_in(household!)
      act(:SetHousehold, who, habits.fetch(name)) unless habits.fetch(name).empty?
      keys = inside(who) { |house| house.foods.all.to_h { |row| [row.id, row.key] } }
      cupboard = place_id(who, "cupboard")
      read =
        lines.map do |line, answer|
          *asks, food, count, amount, date = answer.split
          draft = tell("/api/label-line", { text: line })
          answers = answered(draft, asks.map { |ask| ask.delete("?") }) if asks.any? || draft["questions"].any?
          stack = put(draft, cupboard, answers || {})
          facts = lot(who, stack["lot_id"])
          expect(
            [
              line,
              keys[facts.food_id],
              draft["count"].to_f,
              draft["amount"]&.to_f&.round(2),
              draft["date_kind"] == "made" ? nil : draft["date"]
            ]
          ).to eq([line, food, count.to_f, amount&.to_f, date])
          stack
        end
      expect(on_shelf(who).size).to eq(read.size)
      expect(read.size).to eq(40)
    end
  end
end
