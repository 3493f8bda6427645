# frozen_string_literal: true

require "securerandom"
require_relative "../command"
require_relative "../refusal"
require_relative "../shopping/line_facts"
require_relative "../shopping/shopping_list"
require_relative "../shopping/ticks"
require_relative "../shopping/written_line"

module NutShelf
  module Desk
    # Puts something on the list: a food, or whatever somebody writes. It waits for the next trip, or stands on the list
    # of whoever is out shopping.
    class AddListLine < Command
      private

      # What the list asks for is worked out before anybody has to wait.
      def prepare(input)
        @reckoned = reckoned(input) if input[:food_id] && input[:reckoned]
      end

      # @param input [Hash] :ref as the device calls it, :text or :food_id, :reckoned (as the list asks for that food),
      #   :days (see ShoppingList), :last (that was the last of it), :note, :ticked (it is in the basket already),
      #   :shopping_id
      def perform(input)
        there = house.shopping.known(input[:ref])
        return again(there, input) if there && there.status != "away"

        # What was put away under that name is another line: the list asks for it anew.
        ref = there ? SecureRandom.hex(10) : input[:ref]
        facts = facts(input)
        line = { ref: ref, **written_by(input), **facts, **place(input), **ticked(input) }
        house.shopping.add_line(line)
        { ref: ref, status: line.fetch(:status, "open"), summary: "#{facts[:text]} is on the list." }
      end

      # Two who tick what the list asks for call it by the same name: it is one line, and both ticked it.
      def again(line, input)
        changes = input[:ticked] ? Ticks.add(line, work) : {}
        house.shopping.change_line(line.id, changes) if changes.any?
        { ref: line.ref, status: changes.fetch(:status, line.status), summary: "#{line.text} is on the list." }
      end

      def written_by(input)
        { account_id: work.caller.account_id, source: source(input), note: input[:note].to_s.strip,
          changed_seq: work.sequence }
      end

      # On the list of whoever is out shopping; when they are home already, it waits for the next trip.
      def place(input)
        shopping = input[:shopping_id] && house.shopping.shopping(input[:shopping_id])
        { shopping_id: (shopping.id if shopping&.status == "open") }
      end

      def source(input)
        return "list" if input[:reckoned]

        input[:last] ? "last" : "own"
      end

      def facts(input)
        return @reckoned || LineFacts.new(work).of_food(input[:food_id]) if input[:food_id]
        raise Refusal.of(:list_line_empty, at: "/text") if input[:text].to_s.strip.empty?

        LineFacts.new(work).of_words(input[:text])
      end

      # With its packs and reasons, as long as the list still asks for it.
      def reckoned(input)
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
