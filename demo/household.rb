# frozen_string_literal: true

require "date"

module NutShelf
  module Demo
    # Sallow House on Kestrel Quay, a small island whose ferry stops in gales.
    module Household
      NAME = "Sallow House"
      TODAY = Date.new(2026, 11, 24)
      KEEPER = "ines@sallow.example"
      PASSWORD = "kestrel quay 1"
      PEOPLE = [
        { name: "Ines", portion_factor: "1", age: 44, sex: "woman", kg: "68" },
        { name: "Tomas", portion_factor: "1.2", age: 46, sex: "man" },
        {
          name: "Juna", portion_factor: "1.1", age: 15, sex: "woman", note: "No mushrooms if it can be helped",
          dislikes: %w[mushrooms dried-mushrooms]
        },
        { name: "Wren", portion_factor: "0.8", age: 9, excludes: %w[peanut] },
        { name: "Grandad Piet", portion_factor: "0.8", age: 78, sex: "man", strict: true }
      ].freeze
      CAT = { name: "Biscuit", species: "cat", kg: "4.5" }.freeze
      # For when no ferry comes.
      KIT = {
        name: "Ferry box", days: 7, gear: "burner", fuel_amount: "920", canister: "230", budget_minor: 1500,
        refresh_days: %w[06-12 12-12]
      }.freeze
      WATER = { name: "Under the stairs", kind: "cupboard", tier: "set_apart", low_c: 12, high_c: 21 }.freeze
      ACCOUNTS = {
        "ines" => %w[Ines keeper], "tomas" => %w[Tomas keeper], "juna" => %w[Juna helper], "wren" => %w[Wren helper],
        "piet" => ["Grandad Piet", "helper"]
      }.freeze
      # Wednesdays are football; on Saturday a gale may take the power.
      PATTERNS = [
        { weekday: 3, meal: "dinner", name: "Football", evening: "shifts", minutes: 30 }
      ].freeze
      EVENINGS = {
        4 => { evening: "no_power", note: "gale warning, no ferry" },
        5 => { note: "Aunt Fenna comes", minutes: 90, eaters: :guest }
      }.freeze
      NICKNAMES = {
        "cat-food-wet" => ["biscuit's tins"],
        "cereal-bars" => ["quay bars"],
        "uht-milk" => ["gale milk"]
      }.freeze
    end
  end
end
