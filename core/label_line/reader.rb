# frozen_string_literal: true

require_relative "line"
require_relative "lexicon"
require_relative "date_field"
require_relative "price_field"
require_relative "amount_field"
require_relative "place_field"
require_relative "state_field"
require_relative "food_field"
require_relative "home_made"
require_relative "../reference/food"

module NutShelf
  module Core
    module LabelLine
      # Reads one line of plain words into a Draft, in a fixed order: what is marked first (dates behind a
      # word, prices with a sign), then amounts, then what is bare, then the words. It never guesses a date.
      class Reader
        # @param lexicon [Lexicon]
        # @param day_order [Symbol] :dmy or :mdy
        # @param currency [String] ISO code
        # @param measures [Hash] :cup, :pint choose the household's measures (units of Unit::TABLE)
        def initialize(lexicon, day_order: :dmy, currency: "EUR", measures: {})
          @lexicon = lexicon
          @day_order = day_order
          @currency = currency
          @measures = measures
          freeze
        end

        # @param text [String] the line
        # @param today [Date]
        # @return [Draft]
        def read(text, today:)
          line = Line.new(text)
          claim_fields(line, today)
          draft(line, today)
        end

        private

        def claim_fields(line, today)
          dates = DateField.new(line, today: today, day_order: @day_order)
          prices = PriceField.new(line, currency: @currency, settings: @measures, dates: dates)
          dates.read_named
          prices.read_marked
          PlaceField.new(line, @lexicon).read
          StateField.new(line).read
          dates.read_bare
          AmountField.new(line, settings: @measures).read
          prices.read_bare
          dates.ask_for_missing
          FoodField.new(line, @lexicon).read
          line.found[:state] ||= "thawed" if line.found[:thawed_on]
          ask_home_made(line)
        end

        def ask_home_made(line)
          state = line.found[:state]
          food = @lexicon.foods[line.found[:food]]
          return unless HomeMade.ask?(state, food) && line.questions.none? { |question| question.field == :food }

          line.ask(:food, HomeMade.question(state, food), HomeMade.answers(state, @lexicon.foods))
        end

        def draft(line, today)
          found = line.found
          food = @lexicon.foods[found[:food]]
          amount, unit = amount_of(found, food)
          Draft.new(count: found[:count], amount: amount, unit: unit, food: found[:food], label: found[:label], date: found[:date],
                    date_kind: date_kind(line, food, today), opened_on: found[:opened_on], frozen_on: found[:frozen_on], thawed_on: found[:thawed_on],
                    place: found[:place], price_minor: price(line, amount, unit), state: found[:state], questions: line.questions.freeze,
                    unread: unread(line), spans: line.spans.slice(:count, :amount, :food, :date, :opened_on, :frozen_on, :place, :price, :state).freeze)
        end

        def amount_of(found, food)
          return [found[:size].amount, found[:size].unit] if found[:size]
          return [nil, found[:noun]] if found[:noun] && found[:noun] != "piece"

          return [nil, nil] if found[:food].to_s.start_with?("class-")

          counted?(food) || found[:noun] == "piece" ? [1r, "piece"] : [nil, nil]
        end

        # Six tortillas are six pieces, though their weight is what is reckoned with.
        def counted?(food)
          return false unless food

          food.dimension == :count || (food.typical_packs.any? && food.typical_packs.all? { |text| text.match?(/\A\d+\z/) })
        end

        # A date nobody named: months are printed as best before; a day by what that food usually carries.
        def date_kind(line, food, today)
          found = line.found
          return found[:date_kind] unless line.hints.include?(:bare_date) && found[:date_kind].nil?
          return "made" if found[:state] == "leftover" && found[:date] && found[:date] <= today
          return "best_before" if line.hints.include?(:month_date)

          usual = food&.date_kind_usual
          return usual if %w[best_before use_by].include?(usual)

          line.ask(:date_kind, "Is that a best-before or a use-by date?", DateField::PRINTED)
          nil
        end

        def price(line, amount, unit)
          price = line.found[:price] or return
          return minor(price[:number] * line.found[:count]) if price[:each]
          return minor(price[:number]) unless price[:per]

          per_amount(line, price, amount, unit)
        end

        def per_amount(line, price, amount, unit)
          per = price[:per]
          return minor(price[:number] * line.found[:count] * amount / per.amount) if amount && unit == per.unit

          line.ask(:price, "The price is per #{Wording.free(per)}: how much is it in all?", [])
          nil
        end

        def minor(number) = (number * 100).round

        def unread(line)
          line.tokens.each_index.filter_map do |index|
            claim = line.claimed_by(index)
            next if claim && claim != :unread

            line.original(index) unless line.tokens[index].kind == :sym && line.tokens[index].text.match?(/[[:punct:]]/)
          end.freeze
        end
      end
    end
  end
end

require_relative "../quantity/wording"
