# frozen_string_literal: true

require "csv"
require "json"
require_relative "reference"
require_relative "../core/reference/marks"

module NutShelf
  module Boot
    # Reads the drawn marks, which screens and labels share, and which food gets which.
    module Marks
      DRAWN = File.join(Reference::FOLDER, "marks.json")

      module_function

      # @return [Core::Marks]
      def table = Core::Marks.new(CSV.read(File.join(Reference::FOLDER, "mark_of.csv"), headers: true).map(&:to_h))
    end
  end
end
