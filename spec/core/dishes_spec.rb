# frozen_string_literal: true

require_relative "support"
require_relative "../../core/planning/dish_name"
require_relative "../../core/quantity/conversion"

RSpec.describe "The shipped dishes" do
  include CoreSupport

  # Drunk, eaten or fed as they come; nobody cooks them up.
  def as_it_comes
    %w[
      bottled-water tap-water cola lemonade tonic-water energy-drink baby-puree-fruit baby-puree-meal freeze-dried-meal
      infant-formula-powder
    ]
  end

  def not_eaten = ["Household supplies", "Pet", "Water"]

  def dishes = catalog.recipes

  def days(food, situation, place) = catalog.keeping(food, situation, place).row&.high

  # How many days it has at best, where it is kept right.
  def fresh_days(food)
    %w[bought_sealed].product(%w[fridge cupboard cool_dark]).filter_map { |how, where| days(food, how, where) }.max
  end

  def open_days(food) = %w[fridge cupboard cool_dark].filter_map { |where| days(food, "opened", where) }.max

  def short_lived
    catalog.foods.values.reject do |food|
      food.key.start_with?("class-") || not_eaten.include?(food.aisle)
    end.select do |food|
      next false if as_it_comes.include?(food.key)

      food.aisle == "Tins and cans" || [fresh_days(food), open_days(food)].compact.any? { |number| number < 10 }
    end
  end

  def grams(quantity, food) = NutShelf::Core::Conversion.to(quantity, :mass, food).amount

  def uses_up?(line, food)
    pack = food.typical_packs.first
    !line.optional && (pack.nil? || grams(line.quantity, food) * 2 >= grams(pack, food))
  end

  it "serve every meal, with and without power" do
    expect(dishes.size).to be >= 160
    expect(dishes.map(&:meal).tally.values_at("breakfast", "lunch", "dinner", "snack")).to all be >= 30
    expect(dishes.count { |dish| dish.gear == ["none"] }).to be >= 40
    expect(dishes.count { |dish| dish.gear == ["one-burner"] && dish.meal == "dinner" }).to be >= 10
  end

  it "use up everything that keeps under ten days, and every tin, in three ways at least" do
    short =
      short_lived.filter_map do |food|
        using = dishes.select { |dish| dish.lines.any? { |line| line.food_key == food.key && uses_up?(line, food) } }
        "#{food.key}: #{using.map(&:key).join(", ")}" if using.size < 3
      end
    expect(short).to eq([])
    expect(short_lived.map(&:key)).to include("ham-sliced", "beef-mince", "hummus", "canned-carrots", "whole-milk")
  end

  # A pot for the trail has its own measures and minutes, whatever it is like at home.
  it "are no two of them the same thing twice, at home or on the trail" do
    foods = dishes.to_h { |dish| [dish.key, dish.lines.map(&:food_key).uniq] }
    trail = dishes.select { |dish| dish.tags.include?("trail") }.map(&:key)
    alike = foods.keys.combination(2).select do |one, other|
      next false if trail.include?(one) != trail.include?(other)

      (foods[one] & foods[other]).size > 0.8 * [foods[one].size, foods[other].size].min
    end
    expect(alike).to eq([])
    expect(dishes.map { |dish| dish.name.downcase }.tally.values.max).to eq(1)
  end

  it "say in their steps what raw meat, fish and shellfish need" do
    raw = %w[
      chicken-breast chicken-thighs whole-chicken beef-mince pork-chops pork-sausages burgers-raw offal white-fish
      salmon-fillet mussels shellfish-raw frozen-prawns frankfurters
    ]
    unsaid =
      dishes.select do |dish|
        dish.lines.any? { |line| raw.include?(line.food_key) } && dish.steps.join(" ").match?(
          /no pink|74 C|run clear|flakes|stay shut|firm|cooked through|steaming hot|Heat the frankfurters|falls apart/
        ).!
      end
    expect(unsaid.map(&:key)).to eq([])
  end

  describe "called by their names" do
    def named(dish, food, other) = NutShelf::Core::DishName.of(dish.name, [[catalog.foods[food], catalog.foods[other]]])

    def dish(key) = dishes.find { |one| one.key == key }

    it "say what stands in, in the number and with the capital of what it stands for" do
      expect(named(dish("salmon-egg-rice"), "canned-salmon", "canned-mackerel")).to eq("Mackerel, egg and pea rice")
      expect(named(dish("pork-chops-apple"), "apples", "pears")).to eq("Pork chops with pears and mash")
      expect(named(dish("chickpea-tuna-salad"), "canned-chickpeas",
        "canned-white-beans")).to eq("White bean and tuna salad")
    end

    it "keep a name that is true of both, and one that never said it" do
      expect(named(dish("tuna-tomato-pasta"), "canned-chopped-tomatoes", "passata")).to eq("Tuna and tomato pasta")
      expect(named(dish("split-pea-soup"), "onions", "leeks")).to eq("Split pea soup")
    end

    it "never say a food that is not in it" do
      dishonest =
        dishes.flat_map do |dish|
          dish.lines.reject(&:optional).flat_map do |line|
            mine = catalog.foods[line.food_key].dish_words.first or next []
            others = (dish.lines.map(&:food_key) - [line.food_key]).flat_map { |key| catalog.foods[key].dish_words }
            line.substitutes.keys.filter_map do |key|
              if [*others, *NutShelf::Core::DishName.words_of(catalog.foods[key])].any? { |word| word.include?(mine) }
                next
              end

              name = named(dish, line.food_key, key)
              "#{name} (#{key})" if NutShelf::Core::DishName.spot(name, mine)
            end
          end
        end
      expect(dishonest).to eq([])
    end
  end
end
