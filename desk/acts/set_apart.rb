# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../refusal"

module NutShelf
  module Desk
    # Sets an amount of a stack apart for somebody or something: meals leave it alone until it is released, or its day
    # is over. It stays where it stands and keeps its date.
    class SetApart < Act
      private

      # @param input [Hash] :lot_id, :amount in base units or nil for all that is free, :for in a person's words,
      #   :until an ISO day or nil
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        refuse_unfit(lot)
        amount = amount(lot, input[:amount])
        until_on = day(input[:until])
        holder = holder(input[:for])
        words = "Set apart #{work.part_words(lot, amount)} #{lot.name(work.food(lot.food_id))} for #{holder}"
        apart = entry("set_apart", words)
        facts = { lot_id: lot.id, amount: amount, holder: holder, until_on: until_on }
        apart.tell(lot, "set_apart", facts)
        done(apart, lot_id: lot.id, reservation_id: apart.make("reservation", facts))
      end

      def refuse_unfit(lot)
        return unless lot.quarantined || lot.stopped

        raise Refusal.of(:not_to_keep)
      end

      def amount(lot, text)
        free = [lot.on_hand - work.held.fetch(lot.id, 0r), 0r].max
        amount = text ? text.to_r : free
        return amount if amount.positive? && amount <= free

        raise Refusal.of(:nothing_free) if free.zero?

        raise Refusal.of(:only_free, left: work.part_words(lot, free))
      end

      def day(text)
        day = Day.read(:until, text)
        return day if day.nil? || day >= work.today

        raise Refusal.of(:day_passed, at: "/until", day: day)
      end

      def holder(text)
        holder = text.to_s.strip
        return holder unless holder.empty?

        raise Refusal.of(:for_nobody, at: "/for")
      end
    end
  end
end
