# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # Advice for a batch of fruit that ripens together: how many to leave out, how many to move to the cold
    # and when, so that they are eaten one after another. Fruit does not ripen properly in the cold, so nothing
    # moves before it is ripe. Frozen.
    class Ripening
      attr_reader :leave_out, :move, :move_on, :too_many, :steps

      # @param count [Integer] pieces in the batch
      # @param ready_on [Date] when they are ripe
      # @param ripe_days [Integer] days a ripe one keeps on the counter
      # @param cold_days [Integer] days a ripe one keeps in the cold; 0 when it does not
      # @param per_day [Rational, Integer] how many are eaten a day
      def initialize(count:, ready_on:, ripe_days:, cold_days:, per_day:)
        raise ArgumentError, "somebody must eat some" unless per_day.positive?

        @leave_out = [((ripe_days + 1) * per_day).floor, count].min
        @move = [count - leave_out, ([cold_days - ripe_days, 0].max * per_day).floor].min
        @move_on = move.positive? ? ready_on : nil
        @too_many = count - leave_out - move
        @steps = reasons(count, ready_on, ripe_days, cold_days).freeze
        freeze
      end

      private

      def are(number) = "#{number} #{number == 1 ? "is" : "are"}"

      def reasons(count, ready_on, ripe_days, cold_days)
        list = [
          "#{are(count)} ripe from about #{Words.day(ready_on)} and #{count == 1 ? "keeps" : "keep"} " \
          "#{Words.days(ripe_days)} on the counter: #{are(leave_out)} eaten in that time."
        ]
        if move_on
          list << "Move #{move} to the cold on #{Words.day(move_on)}, ripe, where ripe fruit of its kind keeps " \
                  "#{Words.days(cold_days)}."
        end
        if too_many.positive?
          list << "#{are(too_many)} more than will be eaten in time: cook, freeze or give them away."
        end
        list
      end
    end
  end
end
