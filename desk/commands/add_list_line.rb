# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"
require_relative "../shopping/line_facts"
require_relative "../shopping/shopping_list"
require_relative "../shopping/written_line"

module NutShelf
  module Desk
    # Puts something on the list: a food, or whatever somebody writes. It waits for the next trip, or stands on the list
    # of whoever is out shopping.
    class AddListLine < Command
      private

      # @param input [Hash] :ref as the device calls it, :text or :food_id, :reckoned (as the list asks for that food),
      #   :last (that was the last of it), :note, :ticked (it is in the basket already), :shopping_id
      def perform(input)
        facts = facts(input)
        shopping = input[:shopping_id] && house.shopping.shopping(input[:shopping_id])
        line = {
          ref: input[:ref], account_id: work.caller.account_id, source: source(input),
          note: input[:note].to_s.strip, changed_seq: work.sequence, **facts,
          shopping_id: (shopping&.id if shopping&.status == "open"), **ticked(input)
        }
        house.shopping.add_line(line)
        { ref: input[:ref], status: line.fetch(:status, "open"), summary: "#{facts[:text]} is on the list." }
      end

      def source(input)
        return "list" if input[:reckoned]

        input[:last] ? "last" : "own"
      end

      def facts(input)
        return reckoned(input) || LineFacts.new(work).of_food(input[:food_id]) if input[:food_id]
        raise Refusal.of(:list_line_empty, at: "/text") if input[:text].to_s.strip.empty?

        LineFacts.new(work).of_words(input[:text])
      end

      # With its packs and reasons, as long as the list still asks for it.
      def reckoned(input)
        return unless input[:reckoned]

        list = ShoppingList.new(work, days: input[:days], shop_id: house.shopping.open&.shop_id)
        line = list.lines.find { |one| one.food_id == input[:food_id] } or return
        WrittenLine.new(work, list).of(line).to_h
      end

      def ticked(input)
        input[:ticked] ? { status: "ticked", ticks: [work.tick], ticked_seq: work.sequence } : {}
      end
    end
  end
end
