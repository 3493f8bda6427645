# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # The part of Reader that says what a line's price is for: each, all of it, or an amount.
      module LinePrice
        # Hundredths below which one of them hardly costs so little.
        CHEAP = 15

        private

        def price(line, amount, unit)
          price = line.found[:price] or return
          return minor(price[:number] * line.found[:count]) if price[:each]
          return each_or_in_all(line, minor(price[:number])) unless price[:per]

          per_amount(line, price, amount, unit)
        end

        def per_amount(line, price, amount, unit)
          per = price[:per]
          return minor(price[:number] * line.found[:count] * amount / per.amount) if amount && unit == per.unit

          line.ask(:price, "The price is per #{said(per)}: how much is it in all?", [])
          nil
        end

        # Eight tins for 79 cents cost that much each, or somebody had luck.
        def each_or_in_all(line, price)
          count = line.found[:count]
          return price unless line.found[:price][:bare] && count > 1 && line.found[:size] && price / count < CHEAP

          line.ask(
            :price,
            "Is that for one of them, or for all?",
            [price * count, price].map do |sum|
              { text: "#{Decimal.print(Rational(sum, 100))} in all", value: Decimal.print(Rational(sum, 100)) }
            end
          )
          nil
        end

        def minor(number) = (number * 100).round
      end
    end
  end
end
