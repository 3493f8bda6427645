# frozen_string_literal: true

require "csv"
require_relative "support"
require_relative "../../boot/label_line"

module FoodNames
  SAYS = {
    "peanut" => /\bpeanut|\bgroundnut|\bsatay/,
    "tree-nut" => /\balmond|\bcashew|\bhazelnut|\bwalnut|\bpistachio|\bpecan|\bbrazil nut|\bmacadamia/,
    "milk" => /\bghee\b|\bbutter\b(?! bean)|\bcheese\b|\byog|\bcustard pot/,
    "gluten" => /\bspelt|\bwheat\b(?!.*buck)|\bbarley|\brye\b|\bfarro|\bfreekeh|\bmalt\b|\boatcake/,
    "fish" => /\btuna|\bsardine|\bmackerel|\bsalmon|\banchov|\bfish (?:sauce|stock)/,
    "egg" => /\beggs?\b|\bmayo/,
    "sesame" => /\bsesame|\btahin|\bmixed seeds/,
    "mustard" => /\bmustard|\bpiccalilli/,
    "celery" => /\bcelery\b/,
    "soy" => /\bsoya?\b|\bsoybean|\btofu|\bmiso\b|\bedamame|\btempeh|\bteriyaki|\bblack bean sauce/,
    "crustacean" => /\bprawn|\bshrimp|\bcrab\b|\blobster/,
    "mollusc" => /\boysters?\b(?! mush)|\bmussel|\bsquid|\bclams?\b|\bscallops?\b/
  }.freeze
  # The same of the other languages a household may write in.
  SAYS_ABROAD = {
    "peanut" => /erdnuss|cacahu[eè]t/,
    "tree-nut" =>
      /mandel(?!arin)|walnuss|haselnuss|cashew|pistazi|amande|noisette|noix\ (?:de\ cajou|de\ pécan)|almendra|
       avellana|nueces|pistach/x,
    "milk" =>
      /butter|käse(?! la)|sahne|joghurt|quark|beurre|fromage|crème fraîche|yaourt|mantequilla|queso|yogur|\bnata\b/,
    "egg" => /\beier\b|eiernudel|\bœufs?\b|\boeufs\b|\bhuevos?\b|mayonn?ai?[sz]e?/,
    "fish" => /thunfisch|lachs|hering|makrele|sardine|anchois|\bthon\b|saumon|atún|salmón|sardina|anchoa|caballa/,
    "sesame" => /sesam|sésam/,
    "mustard" => /senf|moutarde|mostaza/,
    "soy" => /soja(?!ft)/,
    "gluten" =>
      /weizen|roggen|dinkel|grieß|\bbrot|brötchen|spaghetti|nudel|\bblé\b|seigle|\bpain\b|biscotte|trigo|centeno|
       \bpan\b|espagueti/x,
    "crustacean" => /garnele|krabbe|crevette|gamba|langostino/,
    "mollusc" => /muschel|moules|mejillones|calamares|berberecho/
  }.freeze
  SOUNDS_ABROAD =
    Regexp.union(
      "erdnussbutter", "erdnussmus", "kokos", "buchweizen", "reisnudeln", "instantnudeln", "nudelsauce", "salsa para",
      "pasta sauce", "glasnudeln", "beurre de cacahu", "mandeldrink", "boisson", "lait d'amande", "muskat",
      "noix de muscade", "noix de coco", "würze", "babybrei", "beurre de coco", "pan de", "maisgrieß", "butternuss",
      "pommes noisettes"
    ).freeze
  # Words that only sound so: a bean, a squash, a pan, a drink made for people who do without.
  SOUNDS =
    Regexp.union(
      /bread\ and\ butter\ pickle|soda\ crackers|butter\ ?beans?|buttern|p(?:ea)?nut\ butter|almond\ butter|
       cashew\ butter|cocoa\ butter|butter\ lettuce/x,
      /buckwheat|eggplant|egg noodles|egg plant|chick|celery sticks|celeriac|salad cheese/
    ).freeze
end

# A name that leads to a food takes its allergens over: words that say themselves what they hold must lead to a food
# that holds it.
RSpec.describe "Names of foods" do
  include CoreSupport

  it "hold what they say" do
    faults =
      NutShelf::Boot::LabelLine.names.flat_map do |key, names|
        food = catalog.foods.fetch(key) { next [] }
        next [] if key.start_with?("class-") || food.food_group == "supplies" || food.food_group == "pet"

        names.flat_map do |name|
          FoodNames::SAYS.filter_map do |what, words|
            if name.match?(words) && !name.match?(FoodNames::SOUNDS) && !food.allergens.include?(what)
              "#{name} -> #{key} holds no #{what}"
            end
          end
        end
      end
    expect(faults).to eq([])
  end

  it "hold what they say in the other languages" do
    rows =
      CSV.read(NutShelf::Boot::LabelLine::WORDS, headers: true).reject do |row|
        row["food_key"].start_with?("class-") ||
          %w[supplies pet].include?(catalog.foods.fetch(row["food_key"]).food_group)
      end
    faults =
      rows.flat_map do |row|
        words =
          row.values_at("de", "fr", "es").flat_map { |cell| cell.to_s.split(";") }.grep_v(FoodNames::SOUNDS_ABROAD)
        words.flat_map do |word|
          FoodNames::SAYS_ABROAD.filter_map do |what, says|
            if word.match?(says) && !catalog.foods.fetch(row["food_key"]).allergens.include?(what)
              "#{word} -> #{row["food_key"]} holds no #{what}"
            end
          end
        end
      end
    expect(faults).to eq([])
  end
end
