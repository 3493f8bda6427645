# frozen_string_literal: true

require_relative "../act"
require_relative "../looking_back/advice"
require_relative "../refusal"
require_relative "../shopping/wants"

module NutShelf
  module Desk
    # Takes an advice of the look back, which changes what it says at once, or declines it; either way it is kept, so
    # that it can be asked later whether it helped.
    class AnswerAdvice < Act
      keeper_only
      SPAN_DAYS = 56

      private

      # The sums of weeks are added up before anybody has to wait.
      def prepare(input)
        work.every_food
        from = input[:from] ? Date.iso8601(input[:from]) : work.today - SPAN_DAYS
        to = [input[:to] ? Date.iso8601(input[:to]) : work.today, work.today].min
        advice = LookingBack::Advice.new(work, LookingBack::Books.new(work, from: from, to: to))
        @advised = advice.suggestions.find { |one| one.food_id == input[:food_id] && one.kind == input[:kind] }
      end

      # @param input [Hash] :food_id, :kind, :from and :to of the look back, :take
      def perform(input)
        raise Refusal.of(:advice_changed) unless @advised

        @food = work.food(@advised.food_id)
        @answered = entry("answer_advice", input[:take] ? taken_words : "No to an advice: #{@food.name}")
        change if input[:take]
        facts = {
          food_id: @advised.food_id, kind: @advised.kind, answer: input[:take] ? "taken" : "declined",
          on_date: work.today, saving_minor: @advised.saving_minor
        }
        done(@answered, advice_id: @answered.make("advice", facts))
      end

      WORDS = {
        "freeze" => "Frozen as it comes home: %s", "smaller_pack" => "Smaller packs: %s",
        "lower_par" => "Less in the house: %s", "place" => "Another place: %s", "dish" => "A dish more: %s",
        "stop" => "Not bought for a while: %s"
      }.freeze
      private_constant :WORDS

      def taken_words = format(WORDS.fetch(@advised.kind), @food.name)

      def change
        told = @advised.change
        case @advised.kind
        when "place" then @answered.alter("food", house.records.lock("food", @advised.food_id),
          { home_place_id: told[:place_id] })
        when "dish" then @answered.make("meal", meal(told[:recipe_id]))
        else Wants.change(@answered, house, @advised.food_id, wanted(told))
        end
      end

      def wanted(told)
        case @advised.kind
        when "freeze" then { freeze: true }
        when "smaller_pack" then { largest: told[:largest] }
        when "lower_par" then { par: par(told[:par]), par_weeks: nil }
        when "stop" then { silent_until: work.today + told[:days], silent_because: "Much of it was thrown away" }
        end
      end

      # In the food's own units, whole ones of what is counted.
      def par(grams)
        unit = Core::Weight.of_unit(@food, @food.dimension, nil)
        amount = grams / unit
        @food.dimension == :count ? amount.ceil.to_r : amount.round.to_r
      end

      def meal(recipe_id)
        recipe = house.recipes.find(recipe_id)
        {
          on_date: nil, meal: recipe.meal, servings: work.eaters.sum(0r, &:portion_factor), status: "planned",
          recipe_id: recipe_id, note: "", pinned: false
        }
      end
    end
  end
end
