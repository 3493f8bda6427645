# frozen_string_literal: true

module NutShelf
  module Core
    # How much is taken in at once, in one place. Beyond it a request is refused with the limit named, so that nothing
    # anybody sends can keep the house busy.
    module Limits
      # Bytes of a request's body, by the start of its path; the longest start wins.
      BODIES = {
        "/api/" => 262_144, "/api/login" => 16_384, "/api/logout" => 16_384, "/api/change-password" => 16_384,
        "/api/close-account" => 16_384, "/api/first-start" => 16_384, "/api/join" => 16_384,
        "/api/import" => 8_400_000, "/api/recipes" => 5_600_000, "/api/places/" => 4_200_000
      }.freeze
      LARGEST_BODY = BODIES.values.max

      # A list brought in: rows, columns of one row, letters of one cell, words of a name that is looked up.
      ROWS = 20_000
      COLUMNS = 60
      CELL_LETTERS = 2_000
      NAME_WORDS = 12
      # Unknown foods and places that get suggestions.
      SUGGESTIONS = 40
      # Seconds that reading a list may take.
      READING_SECONDS = 20

      # Recipes brought in at once, what goes into all of them, rows of pasted text, letters of one row.
      RECIPES = 100
      RECIPE_LINES = 1_500
      RECIPE_ROWS = 3_000
      RECIPE_ROW_LETTERS = 4_000

      PORTIONS = 1_000
      LABELS = 960
      PHOTO_BYTES = 3_000_000
      PHOTO_SIDE = 12_000
      PHOTO_PIXELS = 60_000_000
      PHOTOS_OF_A_PLACE = 12

      module_function

      # @param path [String]
      # @return [Integer] bytes
      def body(path)
        BODIES.select { |start, _| path.start_with?(start) }.max_by { |start, _| start.length }&.last || 0
      end
    end
  end
end
