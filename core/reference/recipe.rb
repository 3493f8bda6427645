# frozen_string_literal: true

require_relative "../errors"
require_relative "../quantity/quantity"
require_relative "../value"

module NutShelf
  module Core
    # One ingredient of a recipe. `quantity` is edible, for all servings. `substitutes` maps another
    # food's key to the grams of it that stand for one gram. Frozen.
    # `text` is how somebody wrote it, `position` where it stood, among lines that are words alone. `made`: it does not
    # go in, it comes out besides the dish.
    RecipeLine = Value.of(:food_key, :quantity, :optional, :substitutes, :note, text: "", position: 0, made: false)

    # A line that no food was found for: it is read, and reckoned with by nobody. Frozen.
    RecipeText = Value.of(:text, :position)

    # A dish: lines for `servings` usual portions, minutes, gear, days its leftovers keep in the fridge
    # (0: eat at once). `followed`: a later version took its place, or it was put away; it stays for whoever planned or
    # cooked it. `texts` are lines without a food, `makes` lines of what comes out besides, `own` what the household
    # wrote, `source` where it came from. Frozen.
    Recipe =
      Value.of(
        :key, :name, :meal, :servings, :active_minutes, :total_minutes, :gear, :leftover_days, :freezes, :steps,
        :tags, :lines, version: 1, followed: false, texts: [].freeze, makes: [].freeze, own: false, notes: "",
        source: ""
      ) do
        # @param other [Recipe]
        # @return [Boolean] whether they are one dish made in one way, whichever version each is
        def same?(other) = plain == other.plain

        # @return [Recipe] without what tells its versions apart
        def plain
          bare = [lines, makes].map { |list| list.map { |line| line.with(position: 0) } }
          with(version: 1, followed: false, own: false, lines: bare.first, makes: bare.last)
        end

        # A line that no food is known for may hold anything; a heading holds nothing.
        # @return [Array<String>] lines of which nobody knows what they hold
        def unknown = texts.map(&:text).reject { |text| text.end_with?(":") }

        # @return [Boolean] whether nobody knows all that is in it
        def doubtful? = unknown.any?

        # @param number [Integer] portions
        # @return [Recipe] for so many; what was written for another number is said anew
        def scaled(number)
          return self if number == servings

          share = Rational(number, servings)
          more = [lines, makes].map do |list|
            list.map { |line| line.with(quantity: line.quantity * share, text: "") }.freeze
          end
          with(servings: number, lines: more.first, makes: more.last)
        end

        # @param food [Food]
        # @return [Boolean] whether this dish takes it straight from the freezer
        def from_frozen?(food)
          food.from_frozen? || (food.aisle == "Frozen" && steps.any? { |step| step.match?(/\bfrozen\b/i) })
        end

        # @param row [Hash{String=>String}] of the recipes table
        # @param line_rows [Array<Hash>] its rows of the recipe lines table
        # @param made_rows [Array<Hash>] its rows of the table of what dishes make
        # @param foods [Hash{String=>Food}]
        # @return [Recipe]
        # @raise [BadTable] for a line whose food is unknown
        def self.from_row(row, line_rows, made_rows, foods)
          new(
            key: row["key"],
            name: row["name"],
            meal: row["meal"],
            servings: row["servings"].to_i,
            active_minutes: row["active_minutes"].to_i,
            total_minutes: row["total_minutes"].to_i,
            gear: row["gear"].split(";").freeze,
            leftover_days: row["leftover_days"].to_i,
            freezes: row["freezes"] == "yes",
            steps: row["steps"].split(" | ").map { |step| step.sub(/\A\d+\. /, "") }.freeze,
            tags: row["tags"].split(";").freeze,
            lines: line_rows.map { |line| line_from(line, foods) }.freeze,
            makes: made_rows.map { |line| made_from(line, foods) }.freeze
          )
        end

        # @return [RecipeLine] after all that goes in
        # @raise [BadTable]
        def self.made_from(row, foods)
          known("recipe_makes", row, foods)
          RecipeLine.new(
            food_key: row["food_key"], quantity: Quantity.of(row["quantity"], row["unit"]), optional: false,
            substitutes: {}.freeze, note: "", made: true
          )
        end

        # @raise [BadTable]
        def self.known(table, row, foods)
          return if foods.key?(row["food_key"])

          raise BadTable, "#{table}: #{row["recipe_key"]} names #{row["food_key"]}, which is no food."
        end

        # @return [RecipeLine]
        # @raise [BadTable]
        def self.line_from(row, foods)
          known("recipe_lines", row, foods)
          RecipeLine.new(
            food_key: row["food_key"],
            quantity: Quantity.of(row["quantity"], row["unit"]),
            optional: row["optional"] == "yes",
            substitutes: row["substitutes"].split(";").to_h { |text| text.split(":") }.transform_values(&:to_r).freeze,
            note: row["prep_note"]
          )
        end
      end
  end
end
