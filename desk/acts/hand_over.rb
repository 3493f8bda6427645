# frozen_string_literal: true

require_relative "../act"
require_relative "../kits/floor"
require_relative "../looking_back/give_away"
require_relative "../refusal"
require_relative "../taking"

module NutShelf
  module Desk
    # Hands stacks over to somebody else in one go: only what is sealed and in date, since whoever gets it cannot know
    # how it was kept.
    class HandOver < Act
      private

      # @param input [Hash] :stacks [{ :lot_id, :amount (decimal text; nil: all of it) }], :to whom; :despite why, see
      #   Take
      def perform(input)
        wanted = input[:stacks].to_h { |one| [one[:lot_id], one[:amount]&.to_r] }
        lots = house.lots.lock(wanted.keys.sort)
        raise Refusal.of(:stack_unknown, at: "/stacks") unless lots.size == wanted.size

        work.in_the_dark.guard(lots.keys)
        check(lots)
        leaves = lots.to_h { |id, lot| [id, wanted[id] || lot.on_hand] }
        despite = Kits::Floor.new(work).guard(leaves, input[:despite])
        to = input[:to].to_s.strip
        summary = "Gave away #{lots.size == 1 ? "one stack" : "#{lots.size} stacks"}#{" to #{to}" unless to.empty?}"
        given = entry("hand_over", summary + despite)
        taking = Taking.new(work, given)
        value = lots.values.sum { |lot| hand(taking, lot, wanted.fetch(lot.id)) }
        done(given, value_minor: value)
      end

      def hand(taking, lot, amount)
        amount = work.still_there(lot, amount || lot.on_hand)
        raise Refusal.of(:nothing_left) unless amount.positive?

        taking.take(lot, amount, "given_away")
      end

      def check(lots)
        away = LookingBack::GiveAway.new(work)
        unfit = work.stacks(lots.keys).find { |stack| !away.fit?(stack) } or return
        raise Refusal.of(:not_to_give, at: "/stacks", food: unfit.name(work.food(unfit.food_id)))
      end
    end
  end
end
