# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../desk/recipe_reading"

module NutShelf
  module Api
    # A recipe somebody brought, as it would be written down: how every line is read, and what is wrong with it.
    class WrittenView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @reading = Desk::RecipeReading.new(work)
      end

      # @param written [Core::Recipes::Written]
      # @return [Hash]
      def call(written)
        {
          name: written.name, servings: written.servings, total_minutes: written.total_minutes,
          active_minutes: written.active_minutes, meal: written.meal, tags: written.tags, notes: written.notes,
          source: written.source, steps: written.steps, lines: written.lines.map { |text| line(text) },
          problems: written.problems.map(&:to_h)
        }
      end

      # @param text [String]
      # @return [Hash]
      def line(text)
        read = @reading.line(text)
        {
          text: read.text, food_id: @reading.food_id(read.food), food: @reading.food_name(read.food),
          amount: read.amount && Core::Decimal.print(read.amount.round(3)), unit: read.unit, optional: read.optional,
          made: read.made, note: read.note, heading: read.heading,
          words: read.amount && @work.amount(Core::Quantity.of(read.amount, read.unit)),
          substitutes: read.substitutes.filter_map { |key, factor| substitute(key, factor) },
          questions: read.questions.map do |question|
            { field: question.field, text: question.text, answers: answers(question) }
          end
        }
      end

      private

      def substitute(key, factor)
        id = @reading.food_id(key)
        id && { food_id: id, food: @reading.food_name(key), factor: Core::Decimal.print(factor) }
      end

      # A food is answered by its id here, an amount by its words.
      def answers(question)
        question.answers.filter_map do |one|
          id = question.field == "food" ? @reading.food_id(one[:value]) : one[:value]
          id && { text: question.field == "food" ? @reading.food_name(one[:value]) : one[:text], value: id.to_s }
        end
      end
    end
  end
end
