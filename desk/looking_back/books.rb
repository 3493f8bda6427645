# frozen_string_literal: true

require_relative "../../core/looking_back/balance"
require_relative "../../core/looking_back/tally"
require_relative "outcomes"

module NutShelf
  module Desk
    module LookingBack
      # What came, what left and how, between two days, added up in every way people ask for; and how the sums add up.
      class Books
        # What each way of adding up goes by.
        BY = {
          "reason" => ->(one) { one.why.empty? ? one.kind : "#{one.kind}/#{one.why}" }, "food" => :food_id.to_proc,
          "group" => :group.to_proc, "place" => :place_id.to_proc, "shop" => :shop_id.to_proc,
          "pack" => :pack.to_proc, "kit" => :kit_id.to_proc,
          "person" => :account_id.to_proc, "week" => ->(one) { monday(one.on) }
        }.freeze

        # @param work [UnitOfWork]
        # @param from [Date]
        # @param to [Date]
        def initialize(work, from:, to:)
          @work = work
          @from = from
          @to = to
          @source = Outcomes.new(work, from: from, to: to)
        end

        attr_reader :from, :to

        # @return [Array<Core::Outcome>]
        def outcomes = @source.all

        # @param row [Store::Rows::Moved]
        # @return [Integer, nil] the shop it was bought in
        def shop_of(row) = @source.shop_id(row)

        # @return [Core::Quantity, nil] the size it came in
        def pack_of(row) = @source.pack(row)

        # @return [Rational, nil] grams
        def weight_of(row) = @source.grams(row)

        # @return [Core::Tally]
        def tally = @tally ||= Core::Tally.of(outcomes)

        # @param way [String] of BY
        # @return [Hash{Object=>Core::Tally}] the most wasted first, then the most that left
        def by(way)
          told = outcomes.group_by(&BY.fetch(way)).transform_values { |list| Core::Tally.of(list) }
          told.sort_by { |key, tally| [-tally.wasted, -tally.leaving, key.to_s] }.to_h
        end

        # @param way [String]
        # @param key [String] as `key` writes it
        # @return [Array<Core::Outcome>] behind one row of `by`, the dearest first
        def behind(way, key)
          found = outcomes.select { |one| self.class.key(BY.fetch(way).call(one)) == key }
          found.sort_by { |one| [-one.value_minor, one.movement_id] }
        end

        # @param monday [String] of a week
        # @return [Array<Store::Rows::Moved>] what was bought then, the dearest first
        def bought_in(monday)
          rows = brought.select do |row|
            row.reason == "bought" && self.class.key(self.class.monday(row.occurred_on)) == monday
          end
          rows.sort_by { |row| [-row.value_minor, row.id] }
        end

        # @param day [Date]
        # @return [Date] the Monday of its week
        def self.monday(day) = day - day.cwday + 1

        # @param value [Object] of `by`
        # @return [String] how it is called in an address
        def self.key(value)
          value.is_a?(Core::Quantity) ? "#{Core::Decimal.print(value.amount)}-#{value.dimension}" : value.to_s
        end

        # @return [Core::Balance]
        def balance
          came = Core::Balance::IN.to_h { |way| [way, brought.select { |row| row.reason == way }.sum(&:value_minor)] }
          Core::Balance.new(
            opening: worth(from - 1), closing: worth(to), came: came.freeze, left: tally.value
          )
        end

        # @param day [Date]
        # @return [Integer] minor units the stock was worth on its evening
        def worth(day) = by_day.sum { |on, value| on <= day ? value : 0 }

        # @return [Array<Store::Rows::Moved>] what came in, what a cook put aside left out: it was there before
        def brought
          @brought ||= begin
            cooks = @source.moved.select { |row| row.reason == "cooked" }.to_set(&:act_id)
            @source.moved.select do |row|
              Core::Balance::IN.include?(row.reason) && !(row.reason == "made" && cooks.include?(row.act_id))
            end
          end
        end

        private

        def by_day = @by_day ||= @work.house.outcomes.value_by_day
      end
    end
  end
end
