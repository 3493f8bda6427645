# frozen_string_literal: true

require "tmpdir"
require_relative "support"
require_relative "../../core/reference/table_checks"

RSpec.describe "The reference tables" do
  include CoreSupport

  def keeping(key, situation, place) = catalog.keeping(food(key), situation, place)

  describe "finding how long a food keeps" do
    it "takes the food's own row before its class" do
      expect(keeping("potatoes", "bought_sealed", "cool_dark").row).to have_attributes(
        scope: "potatoes",
        state: "whole",
        low: 60
      )
      expect(keeping("white-rice", "bought_sealed", "cupboard").row.scope).to start_with("class-")
    end

    it "refuses the freezer for what does not freeze, and for sealed packs that break" do
      expect(keeping("mayonnaise", "opened", "freezer")).to have_attributes(
        row: nil,
        reason: a_string_including("Emulsion")
      )
      expect(keeping("canned-chickpeas", "bought_sealed", "freezer")).to have_attributes(outcome: :unsafe, row: nil)
    end

    it "refuses by the food's own word before it looks further" do
      expect(keeping("infant-formula-powder", "left_over", "fridge")).to have_attributes(
        outcome: :unsafe,
        reason: a_string_including("feed")
      )
    end

    it "follows a stand-in: cooked rice keeps like leftover rice" do
      expect(keeping("white-rice", "cooked", "fridge").row.scope).to eq("cooked-rice")
    end

    it "uses the figure after thawing only where there is one" do
      expect(keeping("beef-mince", "thawed", "fridge").row).to have_attributes(after_thaw_days: 1, place: "freezer")
    end

    it "gives the reason of the narrowest refusal when there is no row" do
      expect(keeping("beef-mince", "cooked", "cupboard")).to have_attributes(
        outcome: :unsafe,
        reason: a_string_including("two hours")
      )
    end

    it "never takes \"nothing found\" for \"keeps for ever\"" do
      unanswered =
        catalog
          .foods
          .values
          .product(%w[bought_sealed opened left_over thawed], %w[cupboard fridge freezer cool_dark])
          .reject do |food, situation, place|
            answer = catalog.keeping(food, situation, place)
            answer.row? || !answer.reason.to_s.empty?
          end
      expect(unanswered.map { |food, *rest| [food.key, *rest] }).to be_empty
    end

    it "asks the household's own times first" do
      mine = own("class-uht-milk", "fridge", "opened", 2, 3, kind: :safety, own_reason: "our fridge is warm")
      expect(mine.keeping(food("uht-milk"), "opened", "fridge").row).to have_attributes(
        low: 2,
        own_reason: "our fridge is warm"
      )
    end

    it "counts low for safety always, and by the school for quality" do
      safety = keeping("beef-mince", "bought_sealed", "fridge").row
      quality = keeping("potatoes", "bought_sealed", "cupboard").row
      expect([safety.days(:by_the_date), safety.days(:look_then_decide)]).to eq([safety.low, safety.low])
      expect([quality.days(:by_the_date), quality.days(:look_then_decide)]).to eq([quality.low, quality.high])
    end
  end

  describe "taking tables in" do
    let(:tables) { NutShelf::Boot::Reference.tables(NutShelf::Boot::Reference::FOLDER) }

    def faults(changed) = NutShelf::Core::TableChecks.call(changed, NutShelf::Core::TableReader.read(changed))

    def change(table, key, **more)
      column = tables[table].first.keys.first
      tables.merge(
        table => tables[table].map { |row| row[column] == key ? row.merge(more.transform_keys(&:to_s)) : row }
      )
    end

    it "gives foods their nutrition, cooking, pack and share on the plate" do
      rice, beans = %w[white-rice canned-chickpeas].map { |key| catalog.foods[key] }
      expect(rice.nutrition.to_h).to eq(kcal: 365, protein_g: 7.1r, fat_g: 0.7r, carbs_g: 80, sodium_mg: 5)
      expect(rice.preparing).to have_attributes(heat: "simmer", minutes: 18, water_ml: 200, heat?: true)
      expect(beans.packing).to have_attributes(wrapping: "tin", opening: "opener", opener?: true)
      expect([rice.kit_group, rice.plate_serving_g, rice.serving_g]).to eq(["grains", 40, 75])
      expect([beans.drained_share, catalog.foods["pancake-mix"].animal_kinds]).to eq([0.6r, %w[dairy egg]])
      drained = catalog.foods.values.reject { |food| food.drained_share == 1 }
      expect(drained.map(&:drained_share)).to all(be_between(0.4r, 0.95r))
      expect(drained.map(&:edible_yield).uniq).to eq([1])
    end

    it "accepts what is shipped" do
      expect { faults(tables) }.not_to raise_error
    end

    {
      "a number that is none" => ["foods", "honey", { g_per_ml: "heavy" }, /honey has no usable g_per_ml/],
      "energy that does not follow" => ["foods", "honey", { kcal_per_100g: "30" }, /kcal of honey/],
      "a food group nobody knows" => ["foods", "honey", { food_group: "sticky" }, /food_group sticky/],
      "low above high" => ["keeping", "potatoes", { quality_days_low: "900" }, /potatoes/],
      "raw meat as a matter of quality" => [
        "keeping",
        "beef-mince",
        { kind: "quality" },
        /beef-mince in the fridge must be a safety matter/
      ],
      "a pack opened as no pack is" => ["foods_kit", "honey", { opening_usual: "magic" },
                                        /honey has opening_usual magic/],
      "a weight of packing that is none" => ["foods_kit", "honey", { tare_g_per_100g: "much" },
                                             /honey has no usable tare_g/],
      "an ingredient that is no food" => [
        "recipe_lines",
        "overnight-oats-apple",
        { food_key: "moonbeams" },
        /moonbeams, which is no food/
      ],
      "a substitute that is no food" => [
        "recipe_lines",
        "overnight-oats-apple",
        { substitutes: "moonbeams:1" },
        /substitute moonbeams/
      ],
      "a line's name for no food" => ["line_names", "bacon", { food_key: "moonbeams" }, /moonbeams is no food/],
      "dish words for no food" => ["dish_words", "bacon", { food_key: "moonbeams" }, /moonbeams is no food/]
    }.each do |what, (table, key, more, words)|
      it "refuses #{what}, saying where" do
        expect { faults(change(table, key, **more)) }.to raise_error(NutShelf::Core::BadTable, words)
      end
    end

    it "refuses a row that stands twice, and food without any rule" do
      twice = tables.merge("foods" => tables["foods"] + [tables["foods"].first])
      expect { faults(twice) }.to raise_error(NutShelf::Core::BadTable, /stands twice/)
      bare = tables.merge("rules" => tables["rules"].reject { |row| row["food_or_class"] == "class-honey" })
      expect { faults(bare) }.to raise_error(NutShelf::Core::BadTable, /nothing for honey/)
    end

    it "copies nothing when one table is at fault" do
      Dir.mktmpdir do |folder|
        FileUtils.cp(Dir[File.join(NutShelf::Boot::Reference::FOLDER, "*.csv")], folder)
        path = File.join(folder, "foods.csv")
        File.write(path, File.read(path).sub("honey,Honey", "honey,Sweet gold").sub("grains,mass", "gravel,mass"))
        before = File.read(File.join(NutShelf::Boot::Reference::FOLDER, "foods.csv"))
        expect { NutShelf::Boot::Reference.import(folder) }.to raise_error(NutShelf::Core::BadTable)
        expect(File.read(File.join(NutShelf::Boot::Reference::FOLDER, "foods.csv"))).to eq(before)
      end
    end

    it "freezes what it builds" do
      expect([catalog, catalog.foods, food("honey"), catalog.recipes.first, catalog.recipes.first.lines.first]).to all(
        be_frozen
      )
    end

    it "names only foods that exist in the names and the foreign words" do
      named =
        CSV
          .read(File.join(NutShelf::Boot::Reference::FOLDER, "food_names.csv"), headers: true)
          .map { |row| row["food_key"] } +
        CSV
          .read(File.join(NutShelf::Boot::Reference::FOLDER, "food_words.csv"), headers: true)
          .map { |row| row["food_key"] }
      expect(named.reject { |key| catalog.foods.key?(key) }).to be_empty
    end
  end
end
