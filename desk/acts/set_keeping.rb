# frozen_string_literal: true

require_relative "../act"
require_relative "../after"

module NutShelf
  module Desk
    # The household's own keeping time for a food, with its reason. It may lengthen what is a matter of quality; past a
    # safety rule it never goes.
    class SetKeeping < Act
      keeper_only

      private

      # @param input [Hash] :food_id, :place, :state, :storage or nil, :low and :high in days, :reason
      def perform(input)
        food = room.food(input[:food_id])
        shipped = room.office.catalog.row(food.key, input[:place], input[:state], input[:storage]) || room.office.catalog.row(food.class_key, input[:place], input[:state], input[:storage])
        refuse_unsafe(food, input, shipped)
        set = entry("set_keeping", "Own keeping time for #{food.name}: #{input[:low]} to #{input[:high]} days")
        write(set, food, input, shipped)
        done(set, food_id: input[:food_id], redated: After.new(room, set).redate(house.lots.all_with_food))
      end

      def write(set, food, input, shipped)
        facts = { scope: food.key, place: input[:place], state: input[:state], storage: input[:storage].to_s, low: input[:low], high: input[:high], kind: (shipped&.kind || :quality).to_s, reason: input[:reason].strip }
        there = house.rules.at(**facts.slice(:scope, :place, :state, :storage))
        return set.make("keeping", facts) unless there

        set.alter("keeping", house.records.lock("keeping", there[:id]), { **facts.slice(:low, :high, :kind, :reason), removed: false })
      end

      def refuse_unsafe(food, input, shipped)
        refuse("/low", "The short time is longer than the long one.", "Swap them.") if input[:low] > input[:high]
        refuse("/high", "#{food.name}: #{shipped.span} is a matter of safety there. An own time may be shorter, never longer.", "Say #{shipped.high} days at most.") if shipped&.kind == :safety && input[:high] > shipped.high
        return if shipped

        answer = room.office.catalog.keeping(food, situation(input[:state]), input[:place])
        refuse("/place", "#{answer.reason.to_s.chomp('.')}. That is a matter of safety, so there is no own time for it.", "Keep it elsewhere.") if answer.outcome == :unsafe
      end

      def situation(state) = { "unopened" => "bought_sealed", "whole" => "bought_sealed", "unripe" => "ripening" }.fetch(state, state)

      def refuse(pointer, message, remedy) = raise(Invalid.new(message, code: "invalid", pointer: pointer, remedy: remedy))
    end
  end
end
