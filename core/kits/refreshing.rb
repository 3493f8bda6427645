# frozen_string_literal: true

require_relative "../value"
require_relative "refresh_day"

module NutShelf
  module Core
    module Kits
      # What leaves a kit for the kitchen: the stack, the day it must be eaten by, whole weeks until then, packs a week.
      # Frozen.
      ToKitchen = Value.of(:stack, :eat_by, :weeks, :per_week)

      # A refresh: the next one, the day dates must reach, what stays, what is looked at first, what goes to the
      # kitchen, packs fetched from the own shelf by stack, packs to buy by [food, pack]. Frozen.
      Refreshed = Value.of(:next_on, :must_reach, :stay, :look, :kitchen, :fetch, :buy)

      # What a refresh of a kit comes to on its day (docs/kits.md 5). It replaces as many packs as leave.
      class Refreshing
        # @param days [Array<String>] "MM-DD" of each year
        # @param margin [Integer] days a date must lie beyond the next refresh
        def initialize(days, margin:)
          @days = days
          @margin = margin
          freeze
        end

        # @param day [Date] of this refresh
        # @param box [Array<SupplyStack>]
        # @param shelf [Array<SupplyStack>] own stacks that are free
        # @return [Refreshed]
        def call(day, box:, shelf:)
          next_on = RefreshDay.after(@days, day)
          reach = next_on + @margin
          stay, leave = box.partition { |stack| stack.reaches?(reach) }
          look, kitchen = leave.partition { |stack| stack.usable_until.nil? || stack.usable_until < day }
          fetch, buy = replace(leave, shelf.select { |stack| stack.reaches?(reach) })
          Refreshed.new(
            next_on: next_on, must_reach: reach, stay: stay.freeze, look: look.freeze,
            kitchen: kitchen.map { |stack| to_kitchen(stack, day) }.freeze, fetch: fetch.freeze, buy: buy.freeze
          )
        end

        private

        def to_kitchen(stack, day)
          weeks = [(stack.usable_until - day).to_i / 7, 1].max
          ToKitchen.new(
            stack: stack, eat_by: stack.usable_until, weeks: weeks, per_week: (stack.packs / weeks.to_r).ceil
          )
        end

        def replace(leave, shelf)
          order = shelf.sort_by { |stack| [-(stack.usable_until&.jd || Float::INFINITY), stack.id.to_s] }
          fetch = Hash.new(0)
          buy = Hash.new(0)
          leave.each do |gone|
            lacking = gone.packs
            order.select { |stack| same?(stack, gone) }.each do |stack|
              count = [stack.packs - fetch[stack], lacking].min
              fetch[stack] += count if count.positive?
              lacking -= count
            end
            buy[[gone.food, gone.pack]] += lacking if lacking.positive?
          end
          [fetch.to_h, buy.to_h]
        end

        def same?(one, other) = one.food.key == other.food.key && one.pack == other.pack
      end
    end
  end
end
