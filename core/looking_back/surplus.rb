# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # What of a food's stacks will not be eaten here before its date: the first to go over are eaten first, as much as
    # is needed up to each date; whole packs of the rest are beyond need. What is wanted in the house stays.
    class Surplus
      # A stack: id, its last day, what of it is free and its pack, in grams. Frozen.
      Stack = Value.of(:id, :until_on, :grams, :pack)

      # @param daily [Rational] grams used a day
      # @param planned [Array<Array(Date, Rational)>] what meals draw besides, with their days
      # @param wanted [Rational] grams that are wanted in the house all the time
      # @param today [Date]
      def initialize(daily:, planned:, wanted:, today:)
        @daily = daily
        @planned = planned
        @wanted = wanted
        @today = today
        freeze
      end

      # @param stacks [Array<Stack>]
      # @return [Hash{Object=>Rational}] stack id to grams beyond need, whole packs only; none where nothing is
      def call(stacks)
        eaten = 0r
        beyond = stacks.sort_by { |one| [one.until_on, one.id] }.to_h do |stack|
          takes = (need(stack.until_on) - eaten).clamp(0r, stack.grams)
          eaten += takes
          [stack, stack.grams - takes]
        end
        keep(beyond).to_h { |stack, grams| [stack.id, (grams / stack.pack).floor * stack.pack] }
          .select { |_, grams| grams.positive? }
      end

      private

      def need(day)
        (@daily * ((day - @today).to_i + 1)) + @planned.sum(0r) { |on, grams| on <= day ? grams : 0r }
      end

      # What keeps longest stays as what is wanted in the house.
      def keep(beyond)
        left = @wanted
        beyond.sort_by { |stack, _| stack.until_on }.reverse.map do |stack, grams|
          stays = [left, grams].min
          left -= stays
          [stack, grams - stays]
        end
      end
    end
  end
end
