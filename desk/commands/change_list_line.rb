# frozen_string_literal: true

require_relative "../command"
require_relative "../refusal"

module NutShelf
  module Desk
    # Changes a line of the list: how many, what it cost, a note. Of two who change one line the later one counts, by
    # when they did it and not by when it arrived.
    class ChangeListLine < Command
      FACTS = %i[note paid_minor].freeze

      private

      # @param input [Hash] :ref, any of :count (of its packs), :note, :paid_minor
      def perform(input)
        line = house.shopping.line(input[:ref])
        raise Refusal.of(:put_away_already, food: line.text) if line.status == "away"
        return kept(line) if work.sequence < line.changed_seq

        changes = { **input.slice(*FACTS), **(input[:count] ? counted(line, input[:count]) : {}) }
        raise Refusal.of(:says_that_already) if changes.empty?

        house.shopping.change_line(line.id, { **changes, changed_by: work.person, changed_seq: work.sequence })
        { ref: line.ref, status: line.status, summary: "Changed #{line.text} on the list." }
      end

      def kept(line)
        { ref: line.ref, status: line.status, summary: "#{line.text} stays as it is.",
          unsettled: ["#{line.changed_by} changed it later."] }
      end

      # So many of its packs; of several sizes the first stands for all.
      def counted(line, count)
        pack = line.packs.first or raise Refusal.of(:no_packs_there, at: "/count", food: line.text)
        cost = pack["price_minor"] && (pack["price_minor"] * count)
        { packs: [{ **pack, "count" => count }], cost_minor: cost }
      end
    end
  end
end
