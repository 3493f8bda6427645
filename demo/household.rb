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
        { name: "Ines", portion_factor: "1" },
        { name: "Tomas", portion_factor: "1.2" },
        { name: "Juna", portion_factor: "1.1", note: "No mushrooms if it can be helped" },
        { name: "Wren", portion_factor: "0.8", excludes: %w[peanut] },
        { name: "Grandad Piet", portion_factor: "0.8", strict: true },
        { name: "Biscuit", portion_factor: "0", eats: false }
      ].freeze
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
