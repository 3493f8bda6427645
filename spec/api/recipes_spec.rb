# frozen_string_literal: true

require "base64"
require_relative "../support/api"

# Dishes over the wire: listed, read, brought in, written down, taken along.
RSpec.describe "Recipes", :api do
  let!(:ines) { sign_in(household!(people: 2)) }
  let(:chilli) { ask("/api/recipes")["recipes"].find { |one| one["name"] == "Two-bean chilli" }["recipe_id"] }

  def written(text) = tell("/api/recipes/read", { text: text })["recipes"].first

  # What a person would send who took every line as it was read.
  def sent(read, **more)
    lines =
      read["lines"].map do |line|
        line.slice("text", "food_id", "amount", "unit", "optional", "note").compact
      end
    facts = {
      active_minutes: read["active_minutes"], total_minutes: read["total_minutes"], meal: "dinner", gear: ["hob"],
      leftover_days: 2, freezes: false
    }
    { **read.slice("name", "servings", "steps", "notes"), **facts, lines: lines, **more }
  end

  it "lists every dish, and tells one with its lines, cost and what it gives" do
    list = ask("/api/recipes")["recipes"]
    expect(list.size).to be >= 160
    one = ask("/api/recipes/#{chilli}")
    expect(one).to include("name" => "Two-bean chilli", "current_id" => chilli, "own" => false)
    expect(one["lines"].first.keys).to include("text", "food_id", "amount", "unit", "words")
    expect(one["per_portion"]).to include("kcal" => be_between(150, 900), "cost_minor" => be_positive)
    expect(one["versions"]).to eq([{ "recipe_id" => chilli, "version" => 1 }])
  end

  it "is scaled to so many portions: amounts, not what one portion comes to" do
    one, twice = [nil, 8].map { |number| ask("/api/recipes/#{chilli}#{"?servings=#{number}" if number}") }
    expect(twice["lines"].map { |line| line["amount"].to_r }).to eq(one["lines"].map { |line| line["amount"].to_r * 2 })
    expect(twice["per_portion"]).to eq(one["per_portion"])
    expect(ask("/api/recipes/#{chilli}?servings=0")["code"]).to eq("invalid")
  end

  it "reads what is pasted, shows every line, and writes it down as a dish" do
    read = written(<<~TEXT)
      Beans on rice
      Serves 2
      Total: 20 min

      Ingredients
      - 150 g rice
      - 1 tin kidney beans
      - 3 xyzzy

      Method
      Boil the rice.
      Heat the beans.
    TEXT
    expect(read["lines"].map { |line| [line["food"], line["words"]] }).to eq(
      [["White rice, long grain", "150 g"], ["Red kidney beans, canned", "400 g"], [nil, "3"]]
    )
    id = tell("/api/recipes", sent(read))["recipe_id"]
    one = ask("/api/recipes/#{id}")
    expect(one["lines"].map { |line| line["text"] }).to eq(["150 g rice", "1 tin kidney beans", "3 xyzzy"])
    expect(one).to include("own" => true, "servings" => 2, "steps" => ["Boil the rice.", "Heat the beans."])
  end

  it "names what a broken file lacks, and keeps nothing of it" do
    before = ask("/api/recipes")["recipes"].size
    send_json("/api/recipes/read", { content: Base64.strict_encode64('{"@type":"Recipe","name":"Cut') })
    expect([status, JSON.parse(last_response.body)["title"]]).to match([422, /broken/])
    expect(ask("/api/recipes")["recipes"].size).to eq(before)
  end

  it "reads lines while they are typed, with answers by the household's own foods" do
    lines = tell("/api/recipes/lines", { lines: ["1 cup milk", "For the sauce:"] })["lines"]
    answers = lines.first["questions"].first["answers"].map { |one| one["value"].to_i }
    expect(answers).to include(food_id(ines, "whole-milk"), food_id(ines, "semi-skimmed-milk"))
    expect(lines.last).to include("heading" => true, "food_id" => nil)
  end

  it "is put away and back" do
    tell("/api/recipes/#{chilli}/archive", { archived: true })
    expect(ask("/api/recipes/#{chilli}")["archived"]).to be(true)
    expect(ask("/api/dishes")["dishes"].map { |one| one["recipe_id"] }).not_to include(chilli)
  end

  # The shipped dishes and one of the household's: through a file and back, the same food, amounts, times and steps.
  it "goes out as linked data, text and table, and reads in again to the same recipe" do
    text = ["Oat cups", "Serves 3", "Prep: 5 min | Total: 10 min", "Ingredients", "1 1/2 cups oats", "a pinch of salt",
            "2 xyzzy", "Method", "Stir."].join("\n")
    own = tell("/api/recipes", sent(written(text)))["recipe_id"]
    some = ask("/api/recipes")["recipes"].sample(12, random: Random.new(7))
    ids = [chilli, own, *some.map { |one| one["recipe_id"] }]
    ids.each do |id|
      one = ask("/api/recipes/#{id}")
      %w[json txt csv].each do |kind|
        get "/api/recipes/#{id}/file?as=#{kind}"
        again = tell("/api/recipes/read", { content: Base64.strict_encode64(last_response.body) })["recipes"].first
        expect([kind, again.slice("name", "servings", "steps")]).to eq([kind, one.slice("name", "servings", "steps")])
        expect([kind, again["total_minutes"],
                again["active_minutes"]]).to eq([kind, one["minutes"], one["active_minutes"]])
        expect([kind, told(again)]).to eq([kind, told(one)])
      end
    end
  end

  def told(recipe)
    recipe["lines"].map do |line|
      [line["text"], line["food_id"], line["food_id"] && line["amount"]&.to_r&.round(1), line["optional"]]
    end
  end
end
