# frozen_string_literal: true

require_relative "fefo"

module NutShelf
  module Core
    # What to bring from backstock to the working shelf: for each food a working amount, and the oldest stacks that
    # fill it up. Amounts in one unit of that food (grams as a rule). Frozen.
    class BringForward
      # Days between two walks to a place, by how far it is.
      REACH_DAYS = { "hand" => 7, "steps" => 10, "away" => 21 }.freeze

      # @param daily [Rational] usual use a day
      # @param reach [String] of the nearest backstock place, a key of REACH_DAYS
      # @param pack [Rational, nil] a usual pack: nobody carries a part of one
      # @return [Rational] proposed working amount: what is eaten between two walks, in whole packs
      def self.working_amount(daily:, reach:, pack:)
        need = daily * REACH_DAYS.fetch(reach)
        return need unless pack&.positive?

        (need / pack).ceil * pack
      end

      # @return [Array<String>] how working_amount came about, amounts in grams
      def self.reasons(daily:, reach:, pack:)
        list = ["About #{daily.to_f.round} g a day is used; between two walks to the backstock lie #{REACH_DAYS.fetch(reach)} days."]
        list << "That is #{(daily * REACH_DAYS.fetch(reach)).to_f.round} g, in whole packs of #{pack.to_f.round} g." if pack&.positive?
        list
      end

      attr_reader :need, :picks, :short

      # @param working [Array<Stock>] what is usable on the working shelf
      # @param backstock [Array<Stock>]
      # @param amount [Rational] the working amount
      # @param on [Date]
      def initialize(working:, backstock:, amount:, on:)
        there = working.select { |stock| stock.eligible?(on) }.sum(0r, &:amount)
        @need = [amount - there, 0r].max
        @picks = (@need.positive? ? whole_packs(backstock, on) : []).freeze
        @short = [@need - picks.sum(0r, &:amount), 0r].max
        freeze
      end

      private

      # Sealed packs are carried whole, so a walk brings a little more rather than a part.
      def whole_packs(backstock, on)
        left = @need
        Fefo.order(backstock.select { |stock| stock.eligible?(on) }).filter_map do |stock|
          next unless left.positive?

          amount = carried(stock, left)
          left -= amount
          Fefo::Pick.new(stock: stock, amount: amount, opens: false, look: false)
        end
      end

      def carried(stock, left)
        return stock.amount if stock.open || stock.pack.nil? || !stock.pack.positive?

        [(left / stock.pack).ceil * stock.pack, stock.amount].min
      end
    end
  end
end
