# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      module Endurance
        # For how many days stock with last days lasts that is used evenly: powder for an infant, food for an animal.
        module StockDays
          module_function

          # @param stock [Array<Array(Integer, Rational)>] last day and amount
          # @param per_day [Rational]
          # @param most [Integer]
          # @return [Integer]
          def of(stock, per_day, most)
            return most unless per_day.positive?

            # Of what is good from a day on there must be enough for all days from there.
            (0..most).take_while do |days|
              (1..days).all? do |from|
                stock.sum(0r) { |last, amount| last >= from ? amount : 0r } >= per_day * (days - from + 1)
              end
            end.last
          end
        end
      end
    end
  end
end
