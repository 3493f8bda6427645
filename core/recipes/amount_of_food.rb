# frozen_string_literal: true

require_relative "kitchen_measures"
require_relative "../label_line/draft"
require_relative "../quantity/decimal"
require_relative "../quantity/measures"
require_relative "../quantity/quantity"

module NutShelf
  module Core
    module Recipes
      # What a said amount is of a food, in g, ml or pieces; asks where a line leaves it open.
      class AmountOfFood
        # The tin that recipes mean by "a tin" holds 400 g or a little more; other packs come in a usual size.
        TIN = (350..425)

        # @param said [SaidAmount]
        # @param food [Food, nil]
        # @param measures [Hash] whose ounces
        def initialize(said, food, measures)
          @said = said
          @food = food
          @measures = measures
          @questions = []
          @quantity = said.any? ? quantity : nil
          ask_range if said.any? && said.upto && said.upto > said.number
        end

        # @return [Array<LabelLine::Question>]
        attr_reader :questions

        # @return [Hash] :amount (Rational or nil) and :unit ("g", "ml", "piece" or nil)
        def to_h = { amount: @quantity&.amount, unit: @quantity && Unit.base(@quantity.dimension) }

        private

        # The larger figure of "2-3": enough for the dish.
        def number = @said.upto || @said.number

        def quantity
          return @said.size * number if @said.size
          return Quantity.of(number, poured_ounces(@said.unit)) if @said.unit

          counted
        end

        # An ounce of what is poured is a fluid ounce.
        def poured_ounces(unit)
          return unit unless unit == "oz" && @food && @food.dimension == :volume

          @measures.fetch(:pint, "uk_pint") == "us_pint" ? "us_floz" : "uk_floz"
        end

        def counted
          noun = @said.noun
          amount, unit = KitchenMeasures::OF_FOOD[[noun, @food&.key]]
          amount, unit = KitchenMeasures::ROUGH[noun] unless amount
          return Quantity.of(amount * number, unit) if amount
          return packs if KitchenMeasures::PACKS.include?(noun)

          pieces
        end

        def pieces
          if @food && @food.dimension != :count && @food.g_per_piece.nil?
            ask("#{Decimal.short(number)} of it: how much is that in grams?")
          end
          Quantity.of(number, "piece")
        end

        # "2 tins": of the size they usually are; asked where there are several.
        def packs
          sizes = @food ? @food.typical_packs.reject { |size| size.dimension == :count } : []
          return unknown_pack if sizes.empty?

          size = usual(sizes)
          if sizes.size > 1 && !(@said.noun == "tin" && TIN.cover?(size.amount))
            ask("How large is the #{@said.noun}?", sizes.map { |one| { text: words(one), value: words(one) } })
          end
          size * number
        end

        def usual(sizes)
          return sizes.first unless %w[tin carton].include?(@said.noun)

          sizes.select { |size| size.amount <= TIN.max }.max_by(&:amount) || sizes.min_by(&:amount)
        end

        def unknown_pack
          return Quantity.of(number, "piece") if @food.nil? || @food.dimension == :count

          ask("How large is the #{@said.noun}?")
          nil
        end

        def words(size) = Measures.of("metric").size(size)

        def ask_range
          figures = [@said.number, @said.upto].map { |one| Decimal.short(one, 2) }
          ask("#{figures.first} or #{figures.last}?", figures.map { |one| { text: one, value: one } })
        end

        def ask(text, answers = [])
          @questions << LabelLine::Question.new(field: "amount", text: text, answers: answers)
        end
      end
    end
  end
end
