# frozen_string_literal: true

require_relative "support"
require_relative "../../boot/label_line"

module FoodNames
  SAYS = { "peanut" => /\bpeanut|\bgroundnut|\bsatay/, "tree-nut" => /\balmond|\bcashew|\bhazelnut|\bwalnut|\bpistachio|\bpecan|\bbrazil nut|\bmacadamia/,
           "milk" => /\bghee\b|\bbutter\b(?! bean)|\bcheese\b|\byog|\bcustard pot/, "gluten" => /\bspelt|\bwheat\b(?!.*buck)|\bbarley|\brye\b|\bfarro|\bfreekeh|\bmalt\b|\boatcake/,
           "fish" => /\btuna|\bsardine|\bmackerel|\bsalmon|\banchov|\bfish (?:sauce|stock)/, "egg" => /\beggs?\b|\bmayo/, "sesame" => /\bsesame|\btahin|\bmixed seeds/,
           "mustard" => /\bmustard/, "celery" => /\bcelery\b/, "soy" => /\bsoya?\b(?! bean)|\btofu|\bmiso\b/ }.freeze
  # Words that only sound so: a bean, a squash, a pan, a drink made for people who do without.
  SOUNDS = /butter ?beans?|buttern|p(?:ea)?nut butter|almond butter|cashew butter|cocoa butter|butter lettuce|buckwheat|eggplant|egg noodles|egg plant|chick|celery sticks|celeriac|salad cheese/
end

# A name that leads to a food takes its allergens over: words that say themselves what they hold must lead to a food that holds it.
RSpec.describe "Names of foods" do
  include CoreSupport

  it "hold what they say" do
    faults = NutShelf::Boot::LabelLine.names.flat_map do |key, names|
      food = catalog.foods.fetch(key) { next [] }
      next [] if key.start_with?("class-") || food.food_group == "supplies" || food.food_group == "pet"

      names.flat_map { |name| FoodNames::SAYS.filter_map { |what, words| "#{name} -> #{key} holds no #{what}" if name.match?(words) && !name.match?(FoodNames::SOUNDS) && !food.allergens.include?(what) } }
    end
    expect(faults).to eq([])
  end
end
