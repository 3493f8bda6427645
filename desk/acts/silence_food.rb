# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../refusal"
require_relative "../shopping/wants"

module NutShelf
  module Desk
    # Keeps a food off the list until a day, with the reason somebody gave; or asks for it again.
    class SilenceFood < Act
      # Longer than that nobody remembers why.
      LONGEST = 366

      private

      # @param input [Hash] :food_id, :until (nil: ask for it again), :because
      def perform(input)
        food = work.food_row(input[:food_id])
        last = Day.read(:until, input[:until])
        if last && !last.between?(work.today, work.today + LONGEST)
          raise Refusal.of(:silence_out_of_range, at: "/until", days: LONGEST)
        end

        changes = { silent_until: last, silent_because: last ? input[:because].to_s.strip : "" }
        raise Refusal.of(:says_that_already) if Wants.same?(house.shopping.want(food.id), changes)

        set = entry("silence_food", last ? "Off the list until #{last.strftime("%-d %b")}: #{food.name}" :
          "On the list again: #{food.name}")
        Wants.change(set, house, food.id, changes)
        done(set, food_id: food.id)
      end
    end
  end
end
