# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../household_lexicon"

module NutShelf
  module Desk
    # What a person writes on the list, as a line of it: a food with an amount where the words say so for certain, else
    # the words as they are.
    class LineFacts
      # Where things stand that nobody knows.
      OTHER = "Other"

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param text [String]
      # @return [Hash] columns of the store: :text, :food_id, :aisle, :amount, :dimension
      def of_words(text)
        words = text.strip
        lexicon = HouseholdLexicon.new(@work)
        draft = lexicon.reader.read(words, today: @work.today)
        row = certain?(draft) && lexicon.rows[draft.food]
        row ? { **of_food(row.id), text: words, **amount(draft) } : { text: words, aisle: OTHER }
      end

      # @param food_id [Integer]
      # @return [Hash] columns of the store
      def of_food(food_id)
        food = @work.food(food_id)
        { food_id: food_id, text: food.name, aisle: food.aisle }
      end

      private

      # A word that means several foods, or that was not read, is left as it stands.
      def certain?(draft) = draft.food && draft.questions.none? { |one| one.field == "food" } && draft.unread.empty?

      def amount(draft)
        return {} unless draft.amount && draft.unit

        quantity = Core::Quantity.of(draft.count.to_r * draft.amount.to_r, draft.unit)
        { amount: quantity.amount, dimension: quantity.dimension.to_s }
      end
    end
  end
end
