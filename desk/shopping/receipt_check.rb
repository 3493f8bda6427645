# frozen_string_literal: true

require_relative "../../core/buying/receipt"
require_relative "line_facts"

module NutShelf
  module Desk
    # A receipt held against what was ticked and waits to be put away.
    class ReceiptCheck
      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
        @facts = LineFacts.new(work)
      end

      # @param text [String]
      # @return [Core::Receipt]
      def call(text)
        lines = Core::Receipt.read(text) { |words| @facts.of_words(words)[:food_id] }
        Core::Receipt.new(lines, basket)
      end

      private

      def basket
        @work.house.shopping.bought.map do |row|
          Core::Receipt::Bought.new(
            ref: row.ref, text: row.text, food_id: row.food_id, price_minor: row.paid_minor || row.cost_minor
          )
        end
      end
    end
  end
end
