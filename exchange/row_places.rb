# frozen_string_literal: true

module NutShelf
  module Exchange
    # The part of StockRows that finds where a row stands.
    module RowPlaces
      private

      def place
        text = cell("place") or
          return usual_place || problem("place", "No place is given. Choose one for lines without.")
        named = @settings[:places][text] || @settings[:place_ids][text.downcase]
        return named if named

        places = of_kind(StockWords.place_kind(text))
        return @settings[:place_ids][places.first.name.downcase] if places.size == 1

        problem("place", "Which place is “#{text}”? Choose one for it, or make it.")
      end

      # Where such food belongs, by the places chosen for lines without one.
      def usual_place
        food = @food_cache[cell("food").to_s]
        frozen = cell("frozen_on") || StockWords.state(cell("state").to_s) == "frozen"
        home = @settings[:home]&.call(food) unless frozen
        return home if home

        chosen = @settings[:default_places] or return @settings[:place_id]
        chosen[frozen ? "freezer" : @settings[:belongs].call(food)] || @settings[:place_id]
      end

      # Places of that kind; where there are several, the one that is called so ("Cellar rack" for a cellar).
      def of_kind(kind)
        places = @lexicon.places.select { |known| known.kind == kind }
        called =
          places.select do |known|
            StockWords::PLACE_KINDS.fetch(kind).any? { |word| known.name.downcase.include?(word) }
          end
        called.size == 1 ? called : places
      end
    end
  end
end
