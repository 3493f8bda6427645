# frozen_string_literal: true

require_relative "support"
require_relative "../../../core/kits/counting"

RSpec.describe "The dishes of a kit" do
  include KitSupport

  # Soaked overnight or baked: nothing for a burner and a box.
  def beyond_a_burner
    %w[
      dried-chickpeas dried-kidney-beans dried-black-beans dried-white-beans soya-beans-dried lasagne-sheets
      flour-white flour-wholemeal flour-bread popcorn-kernels buckwheat
    ]
  end

  # Made as its pack says.
  def as_its_pack_says = %w[freeze-dried-meal macaroni-cheese-mix]

  def keeps?(food)
    return true if food.food_group == "water"

    answer = catalog.keeping(food, "bought_sealed", "cupboard")
    answer.row? && answer.row.low >= kits::Counting::STORE_DAYS
  end

  def from_the_box?(line)
    line.optional || [line.food_key, *line.substitutes.keys].any? { |key| keeps?(catalog.food(key)) }
  end

  def dishes
    catalog.recipes.select do |dish|
      (dish.gear - %w[none kettle one-burner]).empty? && !dish.tags.include?("needs-fridge") &&
        dish.lines.all? { |line| from_the_box?(line) }
    end
  end

  it "are twenty and more without power and as many on one burner, for every meal" do
    expect(dishes.count { |dish| dish.gear == ["one-burner"] }).to be >= 20
    expect(dishes.count { |dish| dish.gear != ["one-burner"] }).to be >= 20
    expect(dishes.map(&:meal).tally.values_at("breakfast", "lunch", "dinner", "snack")).to all be >= 5
  end

  it "use all that a kit holds and nobody eats as it is" do
    used = dishes.flat_map { |dish| dish.lines.flat_map { |line| [line.food_key, *line.substitutes.keys] } }
    kept = catalog.foods.values.select do |food|
      %w[grains vegetables fruit dairy protein].include?(food.kit_group) && food.shelf_stable? && keeps?(food) &&
        !food.ready_to_eat && !food.pet && !food.formula?
    end
    expect(kept.map(&:key) - used - beyond_a_burner - as_its_pack_says).to be_empty
  end
end
