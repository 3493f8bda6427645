# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A food there was none of for a while: from `on` (the evening of that day) until more came, nil where it has not.
    # Frozen.
    RunOut =
      Value.of(:food_id, :on, :until_on) do
        # @param food_id [Integer]
        # @param changes [Array<Array(Date, Rational)>] how much there was more or less after each day, first day first
        # @return [Array<RunOut>]
        def self.of(food_id, changes)
          there = 0r
          changes.each_with_object([]) do |(day, change), found|
            before = there
            there += change
            if before.positive? && !there.positive?
              found << new(food_id: food_id, on: day)
            elsif !before.positive? && there.positive? && found.any?
              found[-1] = found.last.with(until_on: day)
            end
          end
        end

        # @param today [Date]
        # @return [Integer] days without any
        def days(today) = ((until_on || today) - on).to_i
      end
  end
end
