# frozen_string_literal: true

require_relative "../act"
require_relative "../redate_stacks"
require_relative "../../core/dating/own_time"
require_relative "../refusal"

module NutShelf
  module Desk
    # The household's own keeping time for a food, with its reason. It may lengthen what is a matter of quality; past a
    # safety rule it never goes.
    class SetKeeping < Act
      keeper_only

      private

      # @param input [Hash] :food_id, :place, :state, :storage or nil, :low and :high in days, :reason
      def perform(input)
        food = work.food(input[:food_id])
        row = own_row(food, input)
        refuse_unsafe(food, row)
        set = entry("set_keeping", "Own keeping time for #{food.name}: #{input[:low]} to #{input[:high]} days")
        write(set, row)
        done(set, food_id: input[:food_id], redated: RedateStacks.new(work, set).follow)
      end

      # Of the kind of the shipped row it stands beside; what no row speaks of is a matter of quality.
      def own_row(food, input)
        at = input.values_at(:place, :state, :storage)
        shipped = work.services.catalog.row(food.key, *at) || work.services.catalog.row(food.class_key, *at)
        Core::KeepingRow.new(
          scope: food.key,
          **input.slice(:place, :state, :storage, :low, :high),
          kind: shipped&.kind || :quality,
          own_reason: input[:reason].strip
        )
      end

      def write(set, row)
        facts = {
          **row.to_h.slice(:scope, :place, :state, :low, :high),
          storage: row.storage.to_s,
          kind: row.kind.to_s,
          reason: row.own_reason
        }
        there = house.rules.at(**facts.slice(:scope, :place, :state, :storage))
        return set.make("keeping", facts) unless there

        set.alter(
          "keeping",
          house.records.lock("keeping", there.id),
          { **facts.slice(:low, :high, :kind, :reason), removed: false }
        )
      end

      def refuse_unsafe(food, row)
        raise Refusal.of(:times_crossed, at: "/low") if row.low > row.high

        breach = Core::OwnTime.breach(work.services.catalog, food, row) or return
        words = breach.words
        raise Refusal.of(:keeps_elsewhere, at: "/place", food: food.name, words: words) unless breach.limit

        most = Core::Words.days(breach.limit)
        raise Refusal.of(:keeps_too_long, at: "/high", food: food.name, words: words, most: most)
      end
    end
  end
end
