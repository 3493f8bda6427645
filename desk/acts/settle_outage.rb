# frozen_string_literal: true

require "securerandom"
require_relative "../act"
require_relative "../outages/outage_book"
require_relative "../refusal"
require_relative "../shopping/line_facts"
require_relative "../taking"

module NutShelf
  module Desk
    # Does after a power cut what the rules say, for one stack or many at once: what is thrown out leaves, what is to be
    # eaten or cooked today is over tomorrow, what froze again says so. One act, so one undo.
    class SettleOutage < Act
      # What is kept stays as it is.
      KEPT = %i[keep].freeze

      private

      # @param input [Hash] :outage_id, :stacks [{lot_id:, finding:, warm_hours:}], :replace whether what is thrown out
      #   goes on the list
      def perform(input)
        outage = house.records.lock("outage", input[:outage_id])
        raise Refusal.of(:cut_settled) if outage.settled_on || outage.archived_at
        raise Refusal.of(:cut_not_over) unless outage.ended_at

        book = Outages::OutageBook.new(work, outage, now: outage.ended_at, findings: findings(input[:stacks]))
        asked = input[:stacks].map { |one| one[:lot_id] }
        chosen = book.open.select { |one| asked.include?(one.stack.id) }
        raise Refusal.of(:nothing_settled) if chosen.empty?

        settle(outage, book, chosen, input[:replace])
      end

      def findings(stacks)
        stacks.select { |one| one[:finding] }
          .to_h { |one| [one[:lot_id], [one[:finding].to_sym, one[:warm_hours]&.to_r]] }
      end

      def settle(outage, book, chosen, replace)
        verdicts = chosen.map { |one| [one, book.verdict(one)] }
        thrown, kept = verdicts.partition { |_, verdict| verdict.act == :throw }
        settled = entry("settle_outage", words(thrown.size, kept.size))
        kept.each { |one, verdict| mark(settled, one, verdict) }
        thrown.map(&:first).each { |one| bin(settled, one) }
        list(settled, thrown) if replace
        settled.alter("outage", outage, after(outage, book, verdicts))
        done(settled, outage_id: outage.id, thrown: thrown.size)
      end

      def mark(settled, one, verdict)
        return if KEPT.include?(verdict.act)

        settled.happen(house.lots.lock_one(one.stack.id), work.happening("dark", result: verdict.act.to_s))
      end

      def bin(settled, one)
        lot = house.lots.lock_one(one.stack.id)
        Taking.new(work, settled).take(lot, lot.on_hand, "binned", why: "power_cut")
      end

      # One line a food, to be had again.
      def list(settled, thrown)
        thrown.map { |one, _| one.stack.food_id }.uniq.each do |food_id|
          settled.make("list_line", {
            ref: SecureRandom.hex(10), source: "own", account_id: work.caller.account_id, changed_seq: work.sequence,
            note: "lost in the power cut", **LineFacts.new(work).of_food(food_id)
          })
        end
      end

      def after(outage, book, verdicts)
        told = verdicts.to_h { |one, verdict| [one.stack.id.to_s, verdict.act.to_s] }
        rest = book.open.size - verdicts.size
        { findings: { **outage.findings, **told }, **(rest.zero? ? { settled_on: work.today } : {}) }
      end

      def words(thrown, kept)
        return "After the power cut: #{thrown} thrown out" if kept.zero?

        "After the power cut: #{thrown.zero? ? "nothing" : thrown} thrown out, #{kept} kept"
      end
    end
  end
end
