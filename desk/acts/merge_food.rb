# frozen_string_literal: true

require_relative "../act"
require_relative "../followed_food"
require_relative "../refusal"

module NutShelf
  module Desk
    # Two foods were one. A food of ours goes into another: its stacks, its names and what it holds go over, and it
    # points to where it went. The stacks are dated by the food they now are.
    class MergeFood < Act
      keeper_only

      private

      # @param input [Hash] :food_id a food of ours, :into_food_id
      def perform(input)
        gone = house.records.lock("food", input[:food_id])
        into = house.records.lock("food", input[:into_food_id])
        refuse_unlike(gone, into)
        merged = entry("merge_food", "#{gone.name} is #{into.name}")
        lots = house.lots.of_food(gone.id, []).map { |lot| house.lots.lock_one(lot.id) }
        held = [*work.food(into.id).allergens, *work.food(gone.id).allergens].uniq.sort
        merged.alter(
          "food",
          into,
          {
            nicknames: names(gone, into),
            allergens: held,
            search_text: [into.search_text, gone.search_text].join(" ")
          }
        )
        @work = work.fresh
        lots.each { |lot| go_over(merged, lot, gone, into) }
        FollowedFood.new(house, merged, gone, into).call
        merged.alter(
          "food",
          gone,
          { merged_into_id: into.id, archived_at: Time.now, key: "#{gone.key}-merged-#{gone.id}" }
        )
        done(merged, food_id: into.id, redated: lots.size)
      end

      def refuse_unlike(gone, into)
        raise Refusal.of(:food_into_itself, at: "/into_food_id") if gone.id == into.id
        raise Refusal.of(:shipped_food_stays, food: gone.name) if gone.reference_key
        raise Refusal.of(:food_gone, food: into.name) if into.archived_at || gone.archived_at
        return if gone.dimension == into.dimension

        raise Refusal.of(:counted_unlike, food: gone.name, other: into.name)
      end

      def names(gone, into)
        (
          [*into.nicknames, gone.name, *gone.nicknames].uniq - [into.name])
      end

      # What it was called stays on it as its own name.
      def go_over(merged, lot, gone, into)
        pack =
          lot.pack_amount &&
          house.packs.ensure(food_id: into.id, amount: lot.pack_amount, dimension: lot.dimension)
        merged.change(
          lot,
          "merged",
          { food_id: into.id, pack_id: pack, label: lot.name(gone) }
        )
      end
    end
  end
end
