# frozen_string_literal: true

require "date"

module NutShelf
  module Demo
    # What the family does day by day: what is bought each week, taken, opened, cooked, moved and thrown away.
    module Routine
      WEEKLY = [
        "2 x 2 l semi skimmed milk ub in 8 days fridge 2.30 each", "800 g white bread bb in 6 days kitchen 1.90",
        "10 eggs bb in 24 days fridge 3.20", "6 bananas kitchen 1.70",
        "500 g plain yoghurt ub in 12 days fridge 1.60", "8 carrots fridge 1.35", "6 apples kitchen 2.40"
      ].freeze
      # food key, amount in base units, who, on which week days (0 Sunday)
      DAILY = [
        ["semi-skimmed-milk", 570, %w[ines juna wren tomas], (0..6)],
        ["white-bread", 160, %w[tomas wren juna], [1, 2, 3, 4, 5]],
        ["rolled-oats", 100, %w[ines piet], [1, 2, 4, 5, 6]],
        ["bananas", 2, %w[wren juna], [1, 3, 5]],
        ["apples", 2, %w[wren tomas], [1, 2, 4]],
        ["plain-yoghurt", 125, %w[juna piet], [2, 4, 6, 0]],
        ["eggs", 5, %w[tomas], [0, 3]],
        ["cheddar", 40, %w[piet], [3]],
        ["carrots", 2, %w[ines], [2, 4, 6]],
        ["ground-coffee", 20, %w[tomas], (0..6)],
        ["peanut-butter", 30, %w[juna], [2, 5]]
      ].freeze
      ON_DAYS = {
        "2026-10-10" => [["move", "beef-mince", "Chest freezer", "tomas"]],
        "2026-10-24" => [["move", "chicken-thighs", "Chest freezer", "tomas"]],
        "2026-09-22" => [["open", "plum jam", "ines"]],
        "2026-10-05" => [%w[open flour-white ines]],
        "2026-10-12" => [%w[open olive-oil ines]],
        "2026-10-03" => [%w[throw apples 2 composted turned ines]],
        "2026-10-18" => [%w[throw bananas 2 composted turned wren]],
        "2026-10-31" => [%w[throw plain-yoghurt 125 binned forgotten tomas]],
        "2026-11-08" => [%w[take sauerkraut 680 tomas]],
        "2026-11-18" => [%w[look sauerkraut good ines]],
        "2026-11-20" => [%w[take uht-milk 300 ines]],
        "2026-11-21" => [%w[take walnuts 20 juna]],
        "2026-11-15" => [%w[take flour-wholemeal 300 ines]],
        "2026-11-22" => [%w[take cheddar 120 juna], %w[take passata 250 ines]],
        "2026-11-23" => [
          %w[take hummus 100 wren],
          %w[take canned-chickpeas 250 tomas],
          %w[move beef-mince@freezer Fridge tomas 400]
        ]
      }.freeze
      LEVELS = {
        "salt" => "plenty", "vegetable-oil" => "half", "paprika" => "half", "curry-powder" => "low",
        "cumin-ground" => "half", "cinnamon-ground" => "plenty", "black-pepper-ground" => "half",
        "oregano-dried" => "plenty", "tea-bags" => "half", "baking-powder" => "low", "vinegar-cider" => "plenty",
        "soy-sauce" => "half", "sugar-white" => "half"
      }.freeze
      # Every Sunday what is not to eat any more goes, but for what this last week left.
      CLEAR_OUT_UNTIL = Date.new(2026, 11, 16)
      # day of the dinner and the words of the dish, cooked with leftovers on some of them
      DINNERS = [
        ["2026-09-18", 0], ["2026-09-23", 2], ["2026-09-30", 0], ["2026-10-07", 1], ["2026-10-14", 0],
        ["2026-10-21", 2], ["2026-10-28", 0], ["2026-11-04", 0], ["2026-11-11", 1], ["2026-11-19", 0]
      ].freeze
    end
  end
end
