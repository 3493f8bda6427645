# frozen_string_literal: true

require_relative "../../desk/looking_back/advice"
require_relative "../../desk/looking_back/eat_downs"
require_relative "../../desk/looking_back/keeping"

module NutShelf
  module Api
    # What a look back advises, and what was learnt, as JSON.
    class AdviceView
      # @param work [Desk::UnitOfWork]
      # @param books [Desk::LookingBack::Books]
      def initialize(work, books)
        @work = work
        @advice = Desk::LookingBack::Advice.new(work, books)
      end

      # @return [Hash]
      def call
        @work.every_food
        {
          advice: @advice.suggestions.map { |one| suggestion(one) },
          followed: @advice.followed.map { |one| followed(one) },
          keeping: Desk::LookingBack::Keeping.new(@work).all.map { |one| learnt(one) },
          eat_downs: Desk::LookingBack::EatDowns.new(@work).all.map { |one| eat_down(one) }
        }
      end

      # @param one [Desk::LookingBack::Keeping::Learnt]
      # @return [Hash]
      def learnt(one)
        {
          food_id: one.food_id, food: name(one.food_id), state: one.state, place: one.place, method: one.method,
          notes: one.notes, median_days: one.kept&.median_days, longest_good: one.kept&.longest_good,
          enough: !one.kept.nil?, guide_low: one.low, guide_high: one.high
        }
      end

      private

      def name(food_id) = @work.food(food_id).name

      def suggestion(one)
        {
          food_id: one.food_id, food: name(one.food_id), kind: one.kind, saving_minor: one.saving_minor,
          steps: one.steps, to: target(one)
        }
      end

      # What a touch changes it to, as people say it.
      def target(one)
        change = one.change
        case one.kind
        when "smaller_pack" then @work.size(Core::Quantity.new(change[:largest], :mass))
        when "lower_par" then @work.amount(Core::Quantity.new(change[:par].to_r, :mass))
        when "place" then @work.place(change[:place_id]).name
        when "dish" then @work.house.recipes.find(change[:recipe_id]).name
        end
      end

      def followed(one)
        {
          food_id: one.answer.food_id, food: name(one.answer.food_id), kind: one.answer.kind,
          on: one.answer.on_date.iso8601, saving_minor: one.answer.saving_minor, verdict: one.follow_up.verdict,
          weeks: one.follow_up.weeks, before_minor: one.follow_up.before_minor, after_minor: one.follow_up.after_minor
        }
      end

      def eat_down(one)
        {
          name: one.span.name, from: one.span.from_on.iso8601, to: one.to.iso8601, meals: one.meals,
          spent_minor: one.spent, usual_minor: one.usual, not_spent_minor: one.usual && (one.usual - one.spent),
          untouched: one.untouched.map { |id| name(id) }
        }
      end
    end
  end
end
