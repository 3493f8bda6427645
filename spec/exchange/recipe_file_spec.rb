# frozen_string_literal: true

require "json"
require "open3"
require_relative "../../boot/recipe_file"

RSpec.describe "A recipe from elsewhere" do
  def folder = File.join(__dir__, "foreign_recipes")

  def read(name)
    NutShelf::Boot::RecipeFile.preview(File.binread(File.join(folder, name)), places: [], today: Date.new(2026, 11, 24))
  end

  def brief(recipe)
    [recipe[:name], recipe[:servings], recipe[:total_minutes], recipe[:active_minutes], recipe[:lines].size,
     recipe[:steps].size]
  end

  def foods(recipe) = recipe[:lines].map { |line| line[:food] }

  {
    "alone.json" => ["Harbour bean stew", 4, 85, 15, 7, 3],
    "graph_page.html" => ["Lighthouse loaf & butter", 1, 185, 20, 5, 4],
    "old_keys.json" => ["Pantry pancakes", 6, 30, 10, 5, 3],
    "microdata.html" => ["Mackerel rice", 2, 25, 25, 3, 2],
    "headings.txt" => ["Gran's lentil soup", 6, 55, 15, 6, 3],
    "bare.txt" => ["Sardine toast", 2, nil, nil, 4, 2],
    "ounces.txt" => ["Baked macaroni and cheese", 4, 65, 65, 6, 2],
    "line_each.csv" => ["Tuna pasta", 3, 25, 25, 4, 3],
    "row_each.csv" => ["Apple oats", 2, 15, 5, 4, 2],
    "commented.html" => ["Storm chilli", 4, 50, 50, 5, 2],
    "notes.md" => ["Campfire couscous", 2, 15, 15, 5, 3],
    "wide.txt" => ["Potato mash", 4, 30, 30, 3, 2],
    "latin.html" => ["Crêpes", 4, 30, 30, 4, 1],
    "objects.json" => ["Egg fried rice", 2, 12, 12, 3, 2],
    "several.json" => ["Porridge", 2, 10, 10, 2, 1]
  }.each do |name, facts|
    it "is read from #{name}, every line with its food" do
      recipe = read(name).first
      expect(brief(recipe)).to eq(facts)
      expect(foods(recipe)).to all be_a(String)
    end
  end

  it "finds every recipe of a file" do
    expect(read("several.json").map { |one| one[:name] }).to eq(["Porridge", "Hot cocoa"])
    expect(read("line_each.csv").map { |one| brief(one) }.last).to eq(["Cucumber salad", 2, 10, 10, 2, 2])
  end

  it "reads amounts in what they are measured in, marks and sections kept" do
    loaf = read("graph_page.html").first
    expect(loaf[:lines][2]).to include(text: "1½ tsp salt", food: "salt", amount: 7.5, unit: "ml")
    expect(loaf[:steps]).to start_with("Dough: Mix flour, yeast and salt.")
    expect(read("headings.txt").first[:problems]).to eq([])
    expect(read("bare.txt").first[:problems]).to match([include(at: "total_minutes")])
  end

  {
    "broken_cut_off.json" => /data of the recipe are broken: .*line 1/, "broken_no_recipe.html" => /no recipe data/,
    "broken_picture.txt" => /no text/, "broken_only_headings.csv" => /no row/, "broken_empty.txt" => /empty/
  }.each do |name, words|
    it "says what is wrong with #{name}" do
      expect { read(name) }.to raise_error(NutShelf::Exchange::Recipes::File::Unreadable, words)
    end
  end

  it "names everything that is missing, and the figure that is none" do
    problems = read("broken_no_time.json").first[:problems]
    expect(problems.map { |one| one[:at] }).to eq(%w[totalTime prepTime name lines steps servings total_minutes])
    expect(problems.first[:text]).to include("soon")
  end

  it "is refused where it is far too large, or holds too many" do
    file = NutShelf::Exchange::Recipes::File
    expect { file.new("x" * 4_000_001) }.to raise_error(file::Unreadable, /4 MB/)
    many = JSON.generate(Array.new(101) { { "@type" => "Recipe", "name" => "x" } })
    expect { file.new(many).recipes }.to raise_error(file::Unreadable, /101 recipes/)
    long = JSON.generate({ "@type" => "Recipe", "name" => "x", "recipeIngredient" => ["1 egg"] * 1_501 })
    expect { file.new(long).recipes }.to raise_error(file::Unreadable, /1500 lines/)
  end

  # Each of these would keep a careless pattern busy for hours; a fault shows as a run that does not end.
  it "is not kept busy by text that is made to" do
    file = NutShelf::Exchange::Recipes::File
    mean = [
      "time 1 " * 500_000, "Soup\n#{"time 1 " * 500_000}", "Soup\n" * 600_000, "1" * 3_000_000, "(" * 3_000_000,
      "{#{" " * 1_000_000}", "<p>" * 1_000_000, "\"" * 2_000_001, "[" * 100_000,
      JSON.generate({ "@type" => "Recipe", "name" => "x", "totalTime" => "1" * 3_000_000 }),
      JSON.generate({ "@type" => "Recipe", "name" => "x" * 2_000_000, "recipeYield" => " " * 1_000_000 })
    ]
    mean.each do |text|
      file.new(text).recipes
    rescue file::Unreadable => e
      expect(e.message.length).to be < 300
    end
  end

  it "survives what is cut off anywhere" do
    Dir[File.join(folder, "*")].each do |path|
      bytes = File.binread(path)
      [1, bytes.size / 3, bytes.size / 2, bytes.size - 3].each do |size|
        NutShelf::Exchange::Recipes::File.new(bytes[0, [size, 1].max]).recipes
      rescue NutShelf::Exchange::Recipes::File::Unreadable => e
        expect(e.message).to match(/\A[A-Z].*[.?]\z/m)
      end
    end
  end

  describe "bin/read-recipe" do
    def run(*words) = Open3.capture3("ruby", File.expand_path("../../bin/read-recipe", __dir__), *words)

    it "prints one recipe as JSON" do
      out, _, status = run(File.join(folder, "several.json"), "--number", "2")
      expect([JSON.parse(out)["name"], status.success?]).to eq(["Hot cocoa", true])
    end

    it "names the fault of a broken file, in JSON too" do
      out, said, status = run(File.join(folder, "broken_cut_off.json"))
      expect(JSON.parse(out)["problems"].first["text"]).to include("broken")
      expect([said, status.success?]).to match([/broken/, false])
    end
  end
end
