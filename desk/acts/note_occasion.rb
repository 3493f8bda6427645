# frozen_string_literal: true

require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # Writes down how an occasion was: who came, how much of each dish was cooked and left, what to do otherwise.
    class NoteOccasion < Act
      private

      # @param input [Hash] :occasion_id, :on, :heads, :notes, :dishes as [{dish:, cooked:, left: decimal text or nil}]
      def perform(input)
        on = Date.iso8601(input[:on])
        raise Refusal.of(:no_such_occasion_day, at: "/on") if on.year < 1900
        raise Refusal.of(:not_held_yet, at: "/on", day: on) if on > work.today

        occasion = house.occasions.find(input[:occasion_id])
        facts = { heads: input[:heads], notes: (input[:notes] || "").strip, dishes: dishes(input[:dishes] || []) }
        noted = entry("note_occasion", "Wrote down how #{occasion.name} was")
        done(noted, occasion_id: occasion.id, occasion_time_id: write(noted, occasion, on, facts))
      end

      def write(noted, occasion, on, facts)
        there = house.occasions.times(occasion.id).find { |one| one.on_date == on }
        return noted.make("occasion_time", { occasion_id: occasion.id, on_date: on, **facts }) unless there

        noted.alter("occasion_time", house.records.lock("occasion_time", there.id), facts)
        there.id
      end

      def dishes(list)
        list.each_with_index.map do |one, at|
          known = house.recipes.dish(one[:dish]) or raise Refusal.of(:no_dish_there, at: "/dishes/#{at}/dish")
          cooked, left = one.values_at(:cooked, :left).map { |text| text&.to_r }
          raise Refusal.of(:more_left_than_cooked, at: "/dishes/#{at}/left") if left && left > cooked

          { "dish" => one[:dish], "name" => house.recipes.find(known.recipe_id).name, "cooked" => one[:cooked],
            "left" => one[:left] }
        end
      end
    end
  end
end
