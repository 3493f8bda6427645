# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"
require_relative "../shopping/line_facts"

module NutShelf
  module Desk
    # Puts something on the list: a food, or whatever somebody writes. It waits for the next trip, or stands on the list
    # of whoever is out shopping.
    class AddListLine < Command
      private

      # @param input [Hash] :ref as the device calls it, :text or :food_id, :last (that was the last of it), :note,
      #   :ticked (it is in the basket already), :shopping_id
      def perform(input)
        facts = facts(input)
        shopping = input[:shopping_id] && house.shopping.shopping(input[:shopping_id])
        line = {
          ref: input[:ref], account_id: work.caller.account_id, source: input[:last] ? "last" : "own",
          note: input[:note].to_s.strip, changed_seq: work.sequence, **facts,
          shopping_id: (shopping&.id if shopping&.status == "open"), **ticked(input)
        }
        house.shopping.add_line(line)
        { ref: input[:ref], status: line.fetch(:status, "open"), summary: "#{facts[:text]} is on the list." }
      end

      def facts(input)
        return LineFacts.new(work).of_food(input[:food_id]) if input[:food_id]
        raise Refusal.of(:list_line_empty, at: "/text") if input[:text].to_s.strip.empty?

        LineFacts.new(work).of_words(input[:text])
      end

      def ticked(input)
        input[:ticked] ? { status: "ticked", ticks: [work.tick], ticked_seq: work.sequence } : {}
      end
    end
  end
end
